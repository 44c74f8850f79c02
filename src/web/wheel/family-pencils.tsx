import { X } from 'lucide-react';
import { type Pencil, type Thing } from '../../contracts/index.ts';
import { sureDifference } from '../../core/laydown/index.ts';
import { type FamilyFacts, type Swap } from '../../core/palette/index.ts';
import { type Extra, type Family, EXTRAS } from '../../core/recipe/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { PencilPick } from './pencil-pick.tsx';
import { type AboutFamily, type SetFamily } from './use-family.ts';

const NAMES: Record<Extra, string> = { blender: 'Blender', depth: 'Depth', accent: 'Accent', neutral: 'Neutral' };

interface Props {
  thing: Thing;
  family: Family;
  known: AboutFamily | null;
  set: SetFamily;
}

/** The pencils of a family from dark to light, what could take the place of each, and its extras. */
export function FamilyPencils({ thing, family, known, set }: Props) {
  const { pencilById, paperModel, laid } = useDesk();
  const code = (id: string) => pencilById.get(id)?.code ?? '';
  const says = (swap: Swap, place: number) => swapWords(swap, family, place, pencilById, paperModel, known?.facts);
  return (
    <>
      {family.pencils.map((id, place) => {
        const called = placeName(place, family.pencils.length);
        return (
          <Row key={id} name={called} leave={`Leave ${code(id)} out of ${thing.name}`} onLeave={leaving(id)}>
            <PencilPick
              label={`${called} of ${thing.name}`}
              value={id}
              options={(known?.swaps[place] ?? []).flatMap((swap) => {
                const pencil = pencilById.get(swap.pencil);
                return pencil ? [{ pencil, says: swap.pencil === id ? '' : says(swap, place) }] : [];
              })}
              fallback={pencilById.get(id)}
              onChange={(next) => {
                const pencils = family.pencils.map((each, i) => (i === place ? next : each));
                set(`${called.toLowerCase()} ${code(next)}`, { ...family, pencils: byValue(pencils, laid) });
              }}
            />
          </Row>
        );
      })}
      {EXTRAS.filter((extra) => family[extra]).map((extra) => (
        <Row
          key={extra}
          name={NAMES[extra]}
          leave={`No ${extra} for ${thing.name}`}
          onLeave={() => set(`no ${extra}`, { ...family, [extra]: null })}
        >
          <PencilPick
            label={`${NAMES[extra]} of ${thing.name}`}
            value={family[extra]!}
            options={offeredExtras(known, extra, pencilById)}
            fallback={pencilById.get(family[extra]!)}
            onChange={(next) => set(`${extra} ${code(next)}`, { ...family, [extra]: next })}
          />
        </Row>
      ))}
    </>
  );

  /** What leaves a pencil out; the last one stays. */
  function leaving(id: string): (() => void) | undefined {
    if (family.pencils.length <= 1) return undefined;
    return () => set(`without ${code(id)}`, { ...family, pencils: family.pencils.filter((each) => each !== id) });
  }
}

function Row({
  name,
  leave,
  onLeave,
  children,
}: {
  name: string;
  /** What the button says that leaves it out. */
  leave: string;
  onLeave?: () => void;
  children: React.ReactNode;
}) {
  return (
    <div className="flex items-center gap-2">
      <span className="w-16 shrink-0 text-sm text-soft">{name}</span>
      <div className="min-w-0 flex-1">{children}</div>
      {onLeave && (
        <button
          type="button"
          aria-label={leave}
          className="flex h-10 w-8 items-center justify-center hover:bg-card"
          onClick={onLeave}
        >
          <X size={15} aria-hidden />
        </button>
      )}
    </div>
  );
}

/** Pencils from dark to light, by how they come out. */
export function byValue(ids: readonly string[], laid: ReturnType<typeof useDesk>['laid']): string[] {
  const value = (id: string) => laid.get(id)?.body[0] ?? 0;
  return [...ids].sort((p, q) => value(p) - value(q));
}

/** The pencils that could be an extra, the best first. */
export function offeredExtras(
  known: AboutFamily | null,
  extra: Extra,
  pencilById: ReadonlyMap<string, Pencil>,
): { pencil: Pencil; says: string }[] {
  return (known?.extras[extra] ?? []).flatMap(({ pencil: id, says }) => {
    const pencil = pencilById.get(id);
    return pencil ? [{ pencil, says }] : [];
  });
}

function placeName(place: number, count: number): string {
  if (place === 0) return count === 1 ? 'Alone' : 'Darkest';
  if (place === count - 1) return 'Lightest';
  return count === 3 ? 'Middle' : `Middle ${place}`;
}

/** What a swap would do to the passage and beside the neighbours, as far as that is known for sure. */
function swapWords(
  swap: Swap,
  family: Family,
  place: number,
  pencilById: ReadonlyMap<string, Pencil>,
  paperModel: ReturnType<typeof useDesk>['paperModel'],
  facts: FamilyFacts | undefined,
): string {
  const [own, other] = [pencilById.get(family.pencils[place]!), pencilById.get(swap.pencil)];
  const sure = own && other ? sureDifference(paperModel.beliefIn(own), paperModel.beliefIn(other)) : 0;
  const words = [
    swap.away > sure
      ? `${swap.away.toFixed(1)} from the present one`
      : `too near to the present one to be told for sure (±${sure.toFixed(0)})`,
  ];
  if (!swap.ordered) words.push('out of order by value');
  else if (swap.largestStep > 0) words.push(`its largest step ${swap.largestStep.toFixed(0)}`);
  if (swap.mud > 4) words.push('muddy where they share paper');
  if (swap.leastApart !== null && facts && facts.leastApart !== null) {
    const by = swap.leastApart - facts.leastApart;
    if (Math.abs(by) >= 1.5)
      words.push(`${by > 0 ? 'parts better' : 'parts less'} from its neighbours (${swap.leastApart.toFixed(0)})`);
  }
  return words.join('; ');
}
