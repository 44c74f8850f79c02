import { type GlowContrast } from '../../core/light/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Section } from '../parts/index.ts';
import { GlowCard } from './glow-card.tsx';
import { type PlacedGlow, addLamp } from '../../plan/index.ts';

export interface GlowsProps {
  /** All glows as they are while one is being changed, and how each stands out. */
  glows: readonly PlacedGlow[];
  contrasts: readonly (GlowContrast | null)[];
  onHold(glow: PlacedGlow): void;
}

/** What glows on the page: lanterns, lamps, a moon. The glow of the chosen thing is shown with that thing. */
export function Glows({ glows, contrasts, onHold, chosen }: GlowsProps & { chosen: string | null }) {
  const { sheet } = useDesk();
  const { page } = sheet.plan;
  const change = usePlanChange(sheet.id, 'light');
  return (
    <Section title="What glows" aside={glows.length > 0 ? `${glows.length} lit` : 'lamps, lanterns, a moon'}>
      <ul className="grid gap-3" aria-label="What glows">
        {glows.map(
          (glow, k) =>
            (glow.thingId === null || glow.thingId !== chosen) && (
              <li key={glow.id}>
                <GlowCard glow={glow} contrast={contrasts[k] ?? null} onHold={onHold} />
              </li>
            ),
        )}
      </ul>
      <Button
        className="mt-2"
        onClick={() =>
          void change('a glow on the sheet', (plan) => addLamp(plan, { x: page.widthMm / 2, y: page.heightMm / 2 }))
        }
      >
        Put a glow on the sheet
      </Button>
      {glows.length === 0 && (
        <p className="mt-2 text-[0.95rem] text-soft">
          Choose a thing and let it glow, or put a glow where nothing is drawn and drag it to its place.
        </p>
      )}
    </Section>
  );
}
