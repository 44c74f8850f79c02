import clsx from 'clsx';
import { useMemo } from 'react';
import { type Pencil, type Thing, isHere } from '../../contracts/index.ts';
import { deltaE2000 } from '../../core/colour/index.ts';
import { sureDifference } from '../../core/laydown/index.ts';
import { type Role, ROLES } from '../../core/recipe/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { chooseThing } from '../desk/at-the-desk.ts';
import { bodyColour } from '../desk/body-colour.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Laydown, Pick, Section } from '../parts/index.ts';

/** Each thing with its family; the chosen one's pencils can be swapped. */
export function Families() {
  const desk = useDesk();
  const { sheet, pencilById } = desk;
  const dispatch = useAppDispatch();
  const thingId = useAppSelector((state) => state.atTheDesk.thingId);
  const { things, families } = sheet.plan;
  if (things.length === 0) return null;
  return (
    <Section title="Families" aside="dark, mid, light">
      <ul className="divide-y divide-rule border-y border-rule" aria-label="Families">
        {things.map((thing) => {
          const open = thing.id === thingId;
          const family = families[thing.id];
          return (
            <li key={thing.id} className={clsx(open && 'bg-leaf')}>
              <button
                type="button"
                aria-expanded={open}
                className="flex min-h-10 w-full items-center gap-2 px-2 text-left"
                onClick={() => dispatch(chooseThing(open ? null : thing))}
              >
                <span className={clsx('min-w-0 flex-1 truncate', open && 'font-bold')}>{thing.name}</span>
                {family ? (
                  <span className="flex gap-1.5 font-figure text-[0.8rem]">
                    {ROLES.map((role) => (
                      <span key={role} className="flex flex-col items-center leading-none">
                        <span className="mb-0.5 h-3 w-11" style={{ background: bodyColour(desk, family[role]) }} />
                        {pencilById.get(family[role])?.code ?? 'gone'}
                      </span>
                    ))}
                  </span>
                ) : (
                  <span className="text-sm text-soft">no family yet</span>
                )}
              </button>
              {open && <Swap thing={thing} />}
            </li>
          );
        })}
      </ul>
    </Section>
  );
}

const NAMES: Record<Role, string> = { dark: 'Dark', mid: 'Mid', light: 'Light' };

/** Swaps any pencil of a family. */
function Swap({ thing }: { thing: Thing }) {
  const { sheet, pencilById } = useDesk();
  const change = usePlanChange(sheet.id, 'wheel');
  const family = sheet.plan.families[thing.id];
  const set = (role: Role, id: string) => {
    const next = { ...(family ?? { dark: id, mid: id, light: id }), [role]: id };
    const code = pencilById.get(id)?.code ?? '';
    void change(`${thing.name}: ${role} ${code}`, { families: { ...sheet.plan.families, [thing.id]: next } });
  };
  return (
    <div className="grid gap-1.5 px-2 pb-3">
      {ROLES.map((role) => (
        <div key={role} className="flex items-center gap-2">
          <span className="w-11 shrink-0 text-sm text-soft">{NAMES[role]}</span>
          <PencilPick
            label={`${NAMES[role]} of ${thing.name}`}
            value={family?.[role] ?? ''}
            onChange={(id) => set(role, id)}
          />
        </div>
      ))}
    </div>
  );
}

/** A pencil from the tray; the list is in order of how near each comes to the present one on this paper. */
function PencilPick({ label, value, onChange }: { label: string; value: string; onChange(id: string): void }) {
  const { use, pencils, laid } = useDesk();
  const options = useMemo(() => {
    const present = laid.get(value)?.body;
    const own = pencils.find(({ id }) => id === value);
    const sure = (pencil: Pencil) => (own ? sureDifference(use.beliefIn(own), use.beliefIn(pencil)) : 0);
    const away = (id: string) => (present && laid.has(id) ? deltaE2000(present, laid.get(id)!.body) : 0);
    return pencils
      .filter((pencil) => isHere(pencil) || pencil.id === value)
      .map((pencil) => ({ pencil, away: away(pencil.id) }))
      .sort((p, q) => p.away - q.away)
      .map(({ pencil, away }) => ({
        value: pencil.id,
        label: (
          <span className="flex items-center gap-2">
            <Laydown pencil={pencil} use={use} width={64} height={22} />
            <span className="font-figure font-bold">{pencil.code}</span>
            <span className="truncate text-sm">{pencil.ownName || pencil.name}</span>
          </span>
        ),
        says: present && pencil.id !== value ? differenceWords(away, sure(pencil)) : undefined,
      }));
  }, [value, pencils, laid, use]);
  return <Pick label={label} value={value} options={options} onChange={onChange} />;
}

/** A difference, or that it is finer than the two colours are known. */
function differenceWords(away: number, sure: number): string {
  return away > sure
    ? `colour difference ${away.toFixed(1)}`
    : `too near to be told for sure: both are known to about ±${sure.toFixed(0)}`;
}
