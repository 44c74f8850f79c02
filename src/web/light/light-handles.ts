import type { Plan } from '../../contracts/index.ts';
import { type PlacedGlow, decide, setGlow } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';

type Horizon = Plan['horizon'];

interface Point {
  x: number;
  y: number;
}

/** A point on the sheet that is moved on it. */
export interface Handle {
  id: string;
  look?: 'water' | 'vanishing';
  label: string;
  /** mm of the page. */
  at: Point;
  onHold(to: Point): void;
  onSet(to: Point): void;
}

/** Points on the page, in tenths of a mm. */
function useOnPage(): (point: Point) => Point {
  const { widthMm, heightMm } = useDesk().sheet.plan.page;
  const on = (value: number, most: number) => Math.round(10 * Math.min(most, Math.max(0, value))) / 10;
  return ({ x, y }) => ({ x: on(x, widthMm), y: on(y, heightMm) });
}

/** Handles of the glows that stand where nothing is drawn. */
export function useGlowHandles(glows: readonly PlacedGlow[], onHold: (glow: PlacedGlow) => void): Handle[] {
  const change = usePlanChange(useDesk().sheet.id, 'light');
  const onPage = useOnPage();
  return glows.flatMap((glow): Handle[] => {
    const { id, at } = glow;
    if (at === null) return [];
    return [
      {
        id,
        label: `Glow at ${at.x.toFixed(0)}, ${at.y.toFixed(0)} mm`,
        at,
        onHold: (to) => onHold({ ...glow, at: to }),
        onSet(to) {
          const place = onPage(to);
          void change(`glow to ${place.x.toFixed(0)}, ${place.y.toFixed(0)} mm`, (plan) =>
            setGlow(plan, id, { ...glow, at: place }),
          );
        },
      },
    ];
  });
}

/** Where the handle of the water line stands, mm from the left edge. */
const WATER_HANDLE_MM = 4;

/** Handles of the water line and the vanishing point, where there are any. */
export function useHorizonHandles({ waterLineMm, vanishing }: Horizon, onHold: (horizon: Horizon) => void): Handle[] {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'light');
  const onPage = useOnPage();
  const moved = (next: Partial<Horizon>) => ({ ...sheet.plan.horizon, ...next });
  const handles: Handle[] = [];
  if (waterLineMm !== null) {
    handles.push({
      id: 'water',
      look: 'water',
      label: `Water line at ${waterLineMm.toFixed(0)} mm`,
      at: { x: WATER_HANDLE_MM, y: waterLineMm },
      onHold: (to) => onHold(moved({ waterLineMm: onPage(to).y })),
      onSet(to) {
        const { y } = onPage(to);
        void change(`water line at ${y.toFixed(0)} mm`, (plan) => decide(plan, { horizon: moved({ waterLineMm: y }) }));
      },
    });
  }
  if (vanishing !== null) {
    handles.push({
      id: 'vanishing',
      look: 'vanishing',
      label: `Vanishing point at ${vanishing.x.toFixed(0)}, ${vanishing.y.toFixed(0)} mm`,
      at: vanishing,
      onHold: (to) => onHold(moved({ vanishing: onPage(to) })),
      onSet: (to) =>
        void change('the vanishing point', (plan) => decide(plan, { horizon: moved({ vanishing: onPage(to) }) })),
    });
  }
  return handles;
}
