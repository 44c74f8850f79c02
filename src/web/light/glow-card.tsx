import { Trash2 } from 'lucide-react';
import { type GlowContrast } from '../../core/light/index.ts';
import { type PlacedGlow, setGlow, thingsOf } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Select, Why } from '../parts/index.ts';

const OF_ITS_OWN = 'own';
/** Tone by which a glow should stand out for it to read, of 100. */
const ENOUGH = 30;

export interface GlowCardProps {
  /** The glow as it is while it is being changed. */
  glow: PlacedGlow;
  /** How it stands out; null until that is known. */
  contrast: GlowContrast | null;
  onHold(glow: PlacedGlow): void;
  /** Takes the keys as soon as it is there. */
  takesKeys?: boolean;
}

/** One glow: how far and how bright it is, how it stands out, and what would raise that. */
export function GlowCard({ glow, contrast, onHold, takesKeys }: GlowCardProps) {
  const { sheet, pencils } = useDesk();
  const things = thingsOf(sheet.plan);
  const change = usePlanChange(sheet.id, 'light');
  const nameOf = (id: string | null) => things.find((thing) => thing.id === id)?.name;
  const words =
    nameOf(glow.thingId) ??
    (glow.at ? `point ${glow.at.x.toFixed(0)}, ${glow.at.y.toFixed(0)} mm` : 'a thing that is gone');
  const keep = (label: string) => void change(label, (plan) => setGlow(plan, glow.id, glow));
  const faint = contrast !== null && contrast.near - contrast.far < ENOUGH;
  const percent = Math.round(100 * glow.strength);
  return (
    <div className="border border-edge bg-leaf px-3 py-2">
      <div className="flex items-center gap-2">
        <span className="min-w-0 flex-1 truncate font-semibold">{words} glows</span>
        <button
          type="button"
          aria-label={`Put out ${words}`}
          title="Put it out"
          className="flex h-9 w-9 items-center justify-center hover:bg-card"
          onClick={() => void change(`put out ${words}`, (plan) => setGlow(plan, glow.id, null))}
        >
          <Trash2 size={16} />
        </button>
      </div>
      <Slider
        label={`Reach of ${words}`}
        says="reach"
        value={glow.reachMm}
        shown={`${glow.reachMm} mm`}
        min={4}
        max={120}
        step={1}
        autoFocus={takesKeys}
        onHold={(reachMm) => onHold({ ...glow, reachMm })}
        onSet={() => keep(`${words} glows ${glow.reachMm} mm far`)}
      />
      <Slider
        label={`Brightness of ${words}`}
        says="brightness"
        value={percent}
        shown={`${percent}%`}
        min={10}
        max={100}
        step={5}
        onHold={(value) => onHold({ ...glow, strength: value / 100 })}
        onSet={() => keep(`${words} glows at ${percent}%`)}
      />
      <Select
        label={`Colour of the light of ${words}`}
        value={glow.pencil ?? OF_ITS_OWN}
        options={[
          { value: OF_ITS_OWN, label: glow.thingId ? 'light in its own colour' : 'light of no colour yet' },
          ...pencils.map(({ id, code, name, ownName }) => ({
            value: id,
            label: `light as ${code} ${ownName || name}`,
          })),
        ]}
        onChange={(id) => {
          const pencil = id === OF_ITS_OWN ? null : id;
          const label = `light of ${words} as ${pencils.find((each) => each.id === id)?.code ?? 'its own'}`;
          void change(label, (plan) => setGlow(plan, glow.id, { ...glow, pencil }));
        }}
      />
      {contrast && (
        <p className="mt-1 text-[0.95rem] text-soft">
          {faint ? 'It hardly stands out' : 'It stands out'}: tone{' '}
          <span className="font-figure">{contrast.near.toFixed(0)}</span> beside it,{' '}
          <span className="font-figure">{contrast.far.toFixed(0)}</span> further off.{' '}
          {faint && contrast.palest !== null && (
            <>A glow is only as bright as its surroundings are dark: deepen {nameOf(contrast.palest)}. </>
          )}
          <Why of={`how ${words} stands out`}>
            Mean tone in the first and in the last third of its reach, from 0, the deepest shadow, to 100, the
            highlight. From {ENOUGH} apart on it reads as light.
          </Why>
        </p>
      )}
    </div>
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
  autoFocus?: boolean;
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
