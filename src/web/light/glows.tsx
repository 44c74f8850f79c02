import { Sun, Trash2 } from 'lucide-react';
import type { Glow } from '../../contracts/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { useChosen } from '../desk/use-chosen.ts';
import { useGlowContrasts } from '../desk/use-preview.ts';
import { Button, Section, Why } from '../parts/index.ts';

/** How far and how bright a glow is when it is lit. */
const USUAL = { reachMm: 20, strength: 0.8 };
/** Tone by which a glow should stand out for it to read, of 100. */
const ENOUGH = 30;

interface Props {
  /** Glows as they are while one is being changed. */
  held: readonly Glow[];
  onHold(place: number, own: Partial<Glow>): void;
}

/** What glows on the page: lanterns, lamps, a moon; how far each is seen and how it stands out. */
export function Glows({ held, onHold }: Props) {
  const { sheet } = useDesk();
  const { things, light, glows, page } = sheet.plan;
  const { thingId } = useChosen();
  const change = usePlanChange(sheet.id, 'light');
  const contrasts = useGlowContrasts({ main: light, glows });
  const nameOf = (id: string | null) => things.find((thing) => thing.id === id)?.name;
  const wordsOf = ({ thingId: id, at }: Glow) =>
    nameOf(id) ?? (at ? `point ${at.x.toFixed(0)}, ${at.y.toFixed(0)} mm` : 'a thing that is gone');
  const chosen = things.find(({ id }) => id === thingId);
  const isLit = glows.some((glow) => glow.thingId === thingId);
  return (
    <Section title="What glows" aside={glows.length > 0 ? `${glows.length} lit` : 'lamps, lanterns, a moon'}>
      <ul className="grid gap-3" aria-label="What glows">
        {held.map((glow, k) => {
          const words = wordsOf(glow);
          const contrast = glows[k] === glow ? contrasts[k] : null;
          return (
            <li key={`${glow.thingId} ${glow.at?.x} ${glow.at?.y}`} className="border border-edge bg-leaf px-3 py-2">
              <div className="flex items-center gap-2">
                <span className="min-w-0 flex-1 truncate font-semibold">{words}</span>
                <button
                  type="button"
                  aria-label={`Put out ${words}`}
                  title="Put it out"
                  className="flex h-9 w-9 items-center justify-center hover:bg-card"
                  onClick={() => void change(`put out ${words}`, { glows: glows.filter((_, i) => i !== k) })}
                >
                  <Trash2 size={16} />
                </button>
              </div>
              <Slider
                label={`Reach of ${words}`}
                says="reach"
                value={glow.reachMm}
                shown={`${glow.reachMm} mm`}
                {...{ min: 4, max: 120, step: 1 }}
                onHold={(reachMm) => onHold(k, { reachMm })}
                onSet={() => void change(`${words} glows ${glow.reachMm} mm far`, { glows: [...held] })}
              />
              <Slider
                label={`Brightness of ${words}`}
                says="brightness"
                value={Math.round(100 * glow.strength)}
                shown={`${Math.round(100 * glow.strength)}%`}
                {...{ min: 10, max: 100, step: 5 }}
                onHold={(percent) => onHold(k, { strength: percent / 100 })}
                onSet={() => void change(`${words} glows at ${Math.round(100 * glow.strength)}%`, { glows: [...held] })}
              />
              {contrast && (
                <p className="mt-1 text-[0.95rem] text-soft">
                  {contrast.near - contrast.far >= ENOUGH ? 'It stands out' : 'It hardly stands out'}:{' '}
                  <span className="font-figure">{contrast.near.toFixed(0)}</span> beside it,{' '}
                  <span className="font-figure">{contrast.far.toFixed(0)}</span> further off.{' '}
                  {contrast.near - contrast.far < ENOUGH &&
                    contrast.palest !== null &&
                    contrast.palest !== glow.thingId && (
                      <>A glow is only as bright as its surroundings are dark: deepen {nameOf(contrast.palest)}. </>
                    )}
                  <Why of={`how ${words} stands out`}>
                    Mean tone in the first and in the last third of its reach, from 0, the deepest shadow, to 100, the
                    highlight.
                  </Why>
                </p>
              )}
            </li>
          );
        })}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2">
        {chosen && !isLit && (
          <Button
            onClick={() =>
              void change(`${chosen.name} glows`, { glows: [...glows, { thingId: chosen.id, at: null, ...USUAL }] })
            }
          >
            <Sun size={16} aria-hidden /> Let {chosen.name} glow
          </Button>
        )}
        <Button
          onClick={() =>
            void change('a glow on the sheet', {
              glows: [...glows, { thingId: null, at: { x: page.widthMm / 2, y: page.heightMm / 2 }, ...USUAL }],
            })
          }
        >
          Put a glow on the sheet
        </Button>
      </div>
      {!chosen && glows.length === 0 && (
        <p className="mt-2 text-[0.95rem] text-soft">
          Choose a thing and let it glow, or put a glow where nothing is drawn and drag it to its place.
        </p>
      )}
    </Section>
  );
}

interface SliderProps {
  label: string;
  says: string;
  value: number;
  shown: string;
  min: number;
  max: number;
  step: number;
  onHold(value: number): void;
  onSet(): void;
}

/** A value that is shown while it is moved and kept when it is let go. */
function Slider({ label, says, shown, onHold, onSet, ...range }: SliderProps) {
  return (
    <label className="flex items-center gap-2 text-[0.95rem]">
      <span className="w-20 text-soft">{says}</span>
      <input
        type="range"
        aria-label={label}
        aria-valuetext={shown}
        className="h-8 min-w-0 flex-1 accent-neutral-700"
        {...range}
        onChange={(event) => onHold(Number(event.target.value))}
        onPointerUp={onSet}
        onKeyUp={onSet}
      />
      <span className="w-14 text-right font-figure">{shown}</span>
    </label>
  );
}
