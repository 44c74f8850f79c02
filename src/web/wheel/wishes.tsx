import { Disclosure, DisclosureButton, DisclosurePanel, Switch } from '@headlessui/react';
import { ChevronRight, X } from 'lucide-react';
import { type Pencil, type PaletteWishes, NO_WISHES, isHere } from '../../contracts/index.ts';
import { DISTANCES, MOOD_AXES } from '../../core/palette/index.ts';
import { decide } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Section, Select } from '../parts/index.ts';
import { PencilFinder } from '../desk/pencil-finder.tsx';

const VOICES = ['rules', 'supports', 'accents'];
const heading = 'mb-1 text-[0.95rem] font-semibold';

/** What a palette is to keep to beside the scheme: pencils, how many, mood and shares. */
export function WishesSection() {
  const { sheet, pencils, pencilById } = useDesk();
  const { wishes } = sheet.plan;
  const change = usePlanChange(sheet.id, 'wheel');
  const set = (label: string, next: Partial<PaletteWishes>) =>
    void change(label, (plan) => decide(plan, { wishes: { ...wishes, ...next } }));
  const here = pencils.filter(isHere);
  const codes = (ids: readonly string[]) => ids.map((id) => pencilById.get(id)?.code ?? 'gone');
  const said = sayWishes(wishes, codes);
  return (
    <Section title="Wishes">
      <Disclosure>
        <DisclosureButton className="group flex min-h-10 w-full items-center gap-2 border border-edge bg-leaf px-3 text-left text-[0.95rem]">
          <ChevronRight size={16} className="shrink-0 group-data-open:rotate-90" aria-hidden />
          <span className="min-w-0 truncate">{said || 'none beside the things’ natural colours'}</span>
        </DisclosureButton>
        <DisclosurePanel className="grid gap-4 pt-3">
          <label className="flex items-center justify-between gap-2">
            <span className={heading}>At most so many pencils</span>
            <input
              type="number"
              min={1}
              max={200}
              placeholder="free"
              aria-label="At most so many pencils"
              key={wishes.atMost ?? 'free'}
              defaultValue={wishes.atMost ?? ''}
              onBlur={(event) => {
                const count =
                  event.target.value === '' ? null : Math.min(200, Math.max(1, Math.round(Number(event.target.value))));
                if (count !== wishes.atMost)
                  set(count ? `at most ${count} pencils` : 'any number of pencils', { atMost: count });
              }}
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
              className="h-10 w-24 border border-edge bg-leaf px-3 text-right font-figure"
            />
          </label>
          {wishes.only.length > 0 && (
            <p className="flex items-center justify-between gap-2 text-[0.95rem]">
              Only from {wishes.only.length} pencils: {codes(wishes.only).join(', ')}
              <Button onClick={() => set('every pencil of the tray', { only: [] })}>Let all in</Button>
            </p>
          )}
          {(['must', 'mustNot'] as const).map((kind) => (
            <PencilsWished
              key={kind}
              label={kind === 'must' ? 'Must come in' : 'Must not come in'}
              ids={wishes[kind]}
              here={here}
              pencilById={pencilById}
              onChange={(ids, code) => set(`${code} ${kind === 'must' ? 'must' : 'must not'} come in`, { [kind]: ids })}
            />
          ))}
          <div>
            <p className={heading}>Mood</p>
            {MOOD_AXES.map(({ id, less, more }) => (
              <Axis
                key={id}
                less={less}
                more={more}
                value={wishes.mood[id]}
                onChange={(value) =>
                  set(value === null ? `${less} or ${more}: free` : `more ${value < 0 ? less : more}`, {
                    mood: { ...wishes.mood, [id]: value },
                  })
                }
              />
            ))}
          </div>
          <label className="flex min-h-10 items-center justify-between gap-2">
            <span className={heading}>Sky, water, leaves and the like may have any colour</span>
            <Switch
              checked={wishes.anyNature}
              onChange={(anyNature) =>
                set(anyNature ? 'any colour for sky, water and the like' : 'natural sky, water and the like', {
                  anyNature,
                })
              }
              className="group flex h-6 w-11 shrink-0 items-center border border-edge bg-leaf p-0.5 data-checked:bg-ink"
            >
              <span className="h-4 w-4 bg-ink group-data-checked:translate-x-5 group-data-checked:bg-leaf" />
            </Switch>
          </label>
          <div>
            <p className={heading}>Near and far</p>
            <Select
              label="Near and far"
              value={wishes.distance}
              options={DISTANCES.map(({ id, name, says }) => ({ value: id, label: name, says }))}
              onChange={(distance) => set(DISTANCES.find(({ id }) => id === distance)!.name, { distance })}
            />
          </div>
          <Shares shares={wishes.shares} onChange={(shares, says) => set(says, { shares })} />
          {said && (
            <Button
              className="justify-self-start"
              onClick={() => void change('no wishes', (plan) => decide(plan, { wishes: NO_WISHES }))}
            >
              Clear all wishes
            </Button>
          )}
        </DisclosurePanel>
      </Disclosure>
    </Section>
  );
}

type AreaShares = PaletteWishes['shares'];

/** How much of the area each voice takes, percent. */
function Shares({ shares, onChange }: { shares: AreaShares; onChange(shares: AreaShares, says: string): void }) {
  return (
    <div>
      <p className={heading}>Shares of the area</p>
      <div className="grid grid-cols-3 gap-2">
        {VOICES.map((voice, i) => (
          <label key={voice} className="text-sm text-soft">
            {voice}
            <span className="flex items-center gap-1 text-ink">
              <input
                type="number"
                min={0}
                max={100}
                step={5}
                aria-label={`Percent that ${voice}`}
                key={shares[i]}
                defaultValue={shares[i]}
                onBlur={(event) => {
                  const percent = Math.min(100, Math.max(0, Math.round(Number(event.target.value) || 0)));
                  if (percent === shares[i]) return;
                  const next: [number, number, number] = [...shares];
                  next[i] = percent;
                  onChange(next, `${percent}% ${voice}`);
                }}
                className="h-10 w-full min-w-0 border border-edge bg-leaf px-2 text-right font-figure"
              />
              %
            </span>
          </label>
        ))}
      </div>
    </div>
  );
}

function PencilsWished(props: {
  label: string;
  ids: readonly string[];
  here: readonly Pencil[];
  pencilById: ReadonlyMap<string, Pencil>;
  onChange(ids: string[], code: string): void;
}) {
  const { label, ids, here, pencilById, onChange } = props;
  return (
    <div>
      <p className="mb-1 text-[0.95rem] font-semibold">{label}</p>
      {ids.length > 0 && (
        <ul className="mb-1 flex flex-wrap gap-1" aria-label={label}>
          {ids.map((id) => {
            const code = pencilById.get(id)?.code ?? 'gone';
            return (
              <li key={id} className="flex items-center border border-edge bg-leaf">
                <span className="h-8 w-4" style={{ background: pencilById.get(id)?.colour }} aria-hidden />
                <span className="px-1.5 font-figure font-bold">{code}</span>
                <button
                  type="button"
                  aria-label={`${code} no longer`}
                  className="flex h-8 w-8 items-center justify-center hover:bg-card"
                  onClick={() =>
                    onChange(
                      ids.filter((other) => other !== id),
                      `${code} no longer`,
                    )
                  }
                >
                  <X size={14} aria-hidden />
                </button>
              </li>
            );
          })}
        </ul>
      )}
      <PencilFinder
        label={`${label}: find a pencil`}
        pencils={here.filter(({ id }) => !ids.includes(id))}
        onFound={(pencil) => onChange([...ids, pencil.id], pencil.code)}
      />
    </div>
  );
}

/** One axis of a mood: free, or a place between two words. */
function Axis(props: { less: string; more: string; value: number | null; onChange(value: number | null): void }) {
  const { less, more, value, onChange } = props;
  return (
    <div className="grid grid-cols-[2.6rem_4.2rem_1fr_6.4rem] items-center gap-1.5 text-[0.92rem]">
      <Switch
        checked={value !== null}
        onChange={(on) => onChange(on ? 0.5 : null)}
        aria-label={`Wish for ${less} or ${more}`}
        className="group flex h-6 w-10 items-center border border-edge bg-leaf px-0.5"
      >
        <span className="h-4 w-4 border border-edge group-data-checked:translate-x-4.5 group-data-checked:bg-strong" />
      </Switch>
      <span className={value !== null && value < 0 ? 'font-bold' : 'text-soft'}>{less}</span>
      <input
        type="range"
        min={-1}
        max={1}
        step={0.25}
        disabled={value === null}
        value={value ?? 0}
        aria-label={`From ${less} to ${more}`}
        aria-valuetext={value === null ? 'free' : value === 0 ? 'between' : value < 0 ? less : more}
        onChange={(event) => onChange(Number(event.target.value))}
        className="w-full accent-(--ink) disabled:opacity-30"
      />
      <span className={value !== null && value > 0 ? 'font-bold' : 'text-soft'}>{more}</span>
    </div>
  );
}

/** Wishes in a few words; "" where there is none. */
function sayWishes(wishes: PaletteWishes, codes: (ids: readonly string[]) => string[]): string {
  const mood = MOOD_AXES.flatMap(({ id, less, more }) => {
    const value = wishes.mood[id];
    return value === null ? [] : [value === 0 ? `${less} and ${more} even` : value < 0 ? less : more];
  });
  const shares = wishes.shares.join() === NO_WISHES.shares.join() ? [] : [wishes.shares.join('/')];
  return [
    ...(wishes.atMost ? [`at most ${wishes.atMost} pencils`] : []),
    ...(wishes.anyNature ? ['any sky, water and leaves'] : []),
    ...(wishes.distance === NO_WISHES.distance
      ? []
      : DISTANCES.filter(({ id }) => id === wishes.distance).map(({ name }) => name)),
    ...(wishes.only.length > 0 ? [`only from ${wishes.only.length}`] : []),
    ...mood,
    ...(wishes.must.length > 0 ? [`with ${codes(wishes.must).join(', ')}`] : []),
    ...(wishes.mustNot.length > 0 ? [`without ${codes(wishes.mustNot).join(', ')}`] : []),
    ...shares,
  ].join(', ');
}
