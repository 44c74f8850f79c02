import type { Glow } from '../../contracts/index.ts';
import { type GlowContrast } from '../../core/light/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Section } from '../parts/index.ts';
import { GlowCard } from './glow-card.tsx';

/** How far and how bright a glow is when it is lit. */
export const USUAL_GLOW = { reachMm: 20, strength: 0.8, pencil: null };

export interface GlowsProps {
  /** All glows as they are while one is being changed, and how each stands out. */
  glows: readonly Glow[];
  contrasts: readonly (GlowContrast | null)[];
  onHold(place: number, own: Partial<Glow>): void;
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
              <li key={`${glow.thingId} ${k}`}>
                <GlowCard glow={glow} place={k} contrast={contrasts[k] ?? null} onHold={(own) => onHold(k, own)} />
              </li>
            ),
        )}
      </ul>
      <Button
        className="mt-2"
        onClick={() =>
          void change('a glow on the sheet', {
            glows: [
              ...sheet.plan.glows,
              { thingId: null, at: { x: page.widthMm / 2, y: page.heightMm / 2 }, ...USUAL_GLOW },
            ],
          })
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
