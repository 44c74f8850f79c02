import { ArrowDownToLine, Blend, Pin, Plus, X } from 'lucide-react';
import { useMemo } from 'react';
import { toast } from 'sonner';
import { type Pencil, type Thing, isHere } from '../../contracts/index.ts';
import { type Lab } from '../../core/colour/index.ts';
import { sureDifference } from '../../core/laydown/index.ts';
import { type FamilyFacts, type PageSummary, type Swap } from '../../core/palette/index.ts';
import { type Extra, type Family, EXTRAS, MOST_PENCILS, familyOf, pencilsFor } from '../../core/recipe/index.ts';
import { decideThing, giveFamilies } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Laydown, Select, PixelCanvas } from '../parts/index.ts';
import { pencilJobs, useAnswer } from '../workers/index.ts';

const NAMES: Record<Extra, string> = { blender: 'Blender', depth: 'Depth', accent: 'Accent', neutral: 'Neutral' };
/** CSS pixels of a millimetre. */
const PX_PER_MM = 96 / 25.4;
const STRIP = { width: 308, height: 34 };

/** A thing's family: its passage as it will come out, what could take each place and what that would do, and its extras. */
export function FamilyDetails({
  thing,
  summary,
  colours,
}: {
  thing: Thing;
  summary: PageSummary | null;
  colours: ReadonlyMap<string, Lab>;
}) {
  const desk = useDesk();
  const { sheet, pencils, pencilById, use, recipes, laid, page } = desk;
  const family = thing.family!;
  const change = usePlanChange(sheet.id, 'wheel');
  const neighbours = useMemo(() => neighboursOf(thing.id, summary, colours), [thing.id, summary, colours]);
  const known = useFamily(family, neighbours);
  const recipe = recipes.get(thing.id);
  const check = () => {
    const used = [...new Set(recipe!.layers.map(({ pencil }) => pencil))].flatMap((id) => pencilById.get(id) ?? []);
    return pencilJobs.start('checkRecipe', {
      recipe: recipe!,
      before: null,
      regions: thing.regionIds.flatMap((id) => page!.regions[id - 1] ?? []),
      pencils: used.map(use.trayPencil),
      paper: use.paper,
      onGround: null,
      beside: {},
      width: STRIP.width,
      height: STRIP.height,
    });
  };
  const checked = useAnswer(recipe && page ? [check] : [], [recipe, page, pencilById, use, thing.regionIds]);
  const strip = checked.value?.ramp ?? null;
  const set = (label: string, next: Family) =>
    void change(`${thing.name}: ${label}`, (plan) => giveFamilies(plan, { [thing.id]: next }));
  const code = (id: string) => pencilById.get(id)?.code ?? '';
  const here = pencils.filter(isHere);
  const offered = (extra: Extra) =>
    (known?.extras[extra] ?? []).flatMap(({ pencil: id, says: why }) => {
      const pencil = pencilById.get(id);
      return pencil ? [{ pencil, says: why }] : [];
    });
  if (!family) {
    return (
      <div className="grid gap-1.5 px-2 pb-3">
        <PencilPick
          label={`First pencil of ${thing.name}`}
          value=""
          options={here.map((pencil) => ({ pencil, says: '' }))}
          onChange={(id) => set(`begin with ${code(id)}`, familyOf([id]))}
        />
      </div>
    );
  }
  const holds = pencilsFor(summary?.things.find(({ id }) => id === thing.id)?.widthMm ?? 0);
  const says = (swap: Swap, place: number) => swapWords(swap, family, place, pencilById, use, known?.facts);
  const halfWidth = recipe?.halfWidthMm ?? 1;
  const scale = Math.max(1, Math.floor(STRIP.width / (halfWidth * PX_PER_MM)));
  const isPinned = thing.pinned;
  const ordered = (ids: string[]) => [...ids].sort((p, q) => (laid.get(p)?.body[0] ?? 0) - (laid.get(q)?.body[0] ?? 0));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2 px-2 pb-3">
      {strip && recipe && (
        <figure>
          <div
            className="overflow-hidden"
            style={{ width: `${Math.min(STRIP.width, halfWidth * PX_PER_MM * scale)}px` }}
          >
            <PixelCanvas pixels={strip} className="h-8 w-full" />
          </div>
          <figcaption className="text-[0.85rem] text-soft">
            from edge to middle, {halfWidth.toFixed(1)} mm
            {scale > 1 ? `, drawn ${scale} times as wide` : ', as wide as on the page'}
          </figcaption>
        </figure>
      )}
      {known && (
        <p className="text-[0.92rem] leading-snug">
          {known.facts.steps.length > 0 && (
            <>
              Value steps {known.facts.steps.map(({ value }) => value.toFixed(0)).join(', ')}; the largest colour step
              is {known.facts.largestStep.toFixed(0)}.{' '}
            </>
          )}
          {known.facts.leastApart !== null && <>The nearest neighbour is {known.facts.leastApart.toFixed(0)} apart. </>}
          <span className="text-soft">{known.facts.blending}</span>
        </p>
      )}
      {family.pencils.map((id, place) => (
        <div key={id} className="flex items-center gap-2">
          <span className="w-16 shrink-0 text-sm text-soft">{placeName(place, family.pencils.length)}</span>
          <div className="min-w-0 flex-1">
            <PencilPick
              label={`${placeName(place, family.pencils.length)} of ${thing.name}`}
              value={id}
              options={(known?.swaps[place] ?? []).flatMap((swap) => {
                const pencil = pencilById.get(swap.pencil);
                return pencil ? [{ pencil, says: swap.pencil === id ? '' : says(swap, place) }] : [];
              })}
              fallback={pencilById.get(id)}
              onChange={(next) =>
                set(`${placeName(place, family.pencils.length).toLowerCase()} ${code(next)}`, {
                  ...family,
                  pencils: ordered(family.pencils.map((each, i) => (i === place ? next : each))),
                })
              }
            />
          </div>
          {family.pencils.length > 1 && (
            <button
              type="button"
              aria-label={`Leave ${code(id)} out of ${thing.name}`}
              className="flex h-10 w-8 items-center justify-center hover:bg-card"
              onClick={() =>
                set(`without ${code(id)}`, { ...family, pencils: family.pencils.filter((each) => each !== id) })
              }
            >
              <X size={15} aria-hidden />
            </button>
          )}
        </div>
      ))}
      {EXTRAS.filter((extra) => family[extra]).map((extra) => (
        <div key={extra} className="flex items-center gap-2">
          <span className="w-16 shrink-0 text-sm text-soft">{NAMES[extra]}</span>
          <div className="min-w-0 flex-1">
            <PencilPick
              label={`${NAMES[extra]} of ${thing.name}`}
              value={family[extra]!}
              options={offered(extra)}
              fallback={pencilById.get(family[extra]!)}
              onChange={(next) => set(`${extra} ${code(next)}`, { ...family, [extra]: next })}
            />
          </div>
          <button
            type="button"
            aria-label={`No ${extra} for ${thing.name}`}
            className="flex h-10 w-8 items-center justify-center hover:bg-card"
            onClick={() => set(`no ${extra}`, { ...family, [extra]: null })}
          >
            <X size={15} aria-hidden />
          </button>
        </div>
      ))}
      <div className="flex flex-wrap gap-x-3">
        {family.pencils.length < MOST_PENCILS && (
          <Button look="bare" className="px-0!" onClick={() => addBetween()}>
            <Plus size={15} /> one between
          </Button>
        )}
        {family.pencils.length > 2 && (
          <Button look="bare" className="px-0!" onClick={() => void smoothest()}>
            <Blend size={15} /> smoothest way
          </Button>
        )}
        {EXTRAS.filter((extra) => !family[extra]).map((extra) => {
          const [best] = offered(extra);
          return best ? (
            <Button
              key={extra}
              look="bare"
              className="px-0!"
              onClick={() => set(`${extra} ${best.pencil.code}`, { ...family, [extra]: best.pencil.id })}
            >
              <Plus size={15} /> {extra}
            </Button>
          ) : null;
        })}
        <Button
          look="bare"
          className="px-0!"
          aria-pressed={isPinned}
          onClick={() =>
            void change(`${isPinned ? 'unpin' : 'pin'} ${thing.name}`, (plan) =>
              decideThing(plan, thing.id, { pinned: !isPinned }),
            )
          }
        >
          {isPinned ? <ArrowDownToLine size={15} /> : <Pin size={15} />} {isPinned ? 'let it change' : 'pin it'}
        </Button>
      </div>
      {family.pencils.length > holds && (
        <p className="text-[0.92rem] text-soft">
          Its regions hold {holds === 1 ? 'one pencil' : `${holds} pencils`}; the rest find no band of their own.
        </p>
      )}
    </div>
  );

  /** Plans the passage from the darkest to the lightest anew, by what its overlaps come to. */
  async function smoothest() {
    const [from, to] = [family.pencils[0], family.pencils.at(-1)!].map((id) => laid.get(id)?.body);
    if (!from || !to) return;
    const options = { paper: use.paper, lengthMm: halfWidth, count: family.pencils.length };
    const outcome = await pencilJobs.start('ramp', { from, to, pencils: here.map(use.trayPencil), options }).outcome;
    if (outcome.kind === 'refused') toast.error(outcome.sentence);
    if (outcome.kind !== 'done') return;
    const ids = ordered([...new Set(outcome.value.bands.map(({ pencil }) => pencil))]);
    toast(outcome.value.reason);
    set(`smoothest way, ${ids.map(code).join(', ')}`, { ...family, pencils: ids });
  }

  /** Adds the pencil that halves the largest step. */
  function addBetween() {
    const bodies = family.pencils.map((id) => laid.get(id)?.body ?? ([50, 0, 0] as Lab));
    const widest = (known?.facts.steps ?? []).reduce(
      (best, step, i, all) => (step.apart > all[best].apart ? i : best),
      0,
    );
    const [dark, light] = [
      bodies[widest],
      bodies[widest + 1] ?? [92, bodies[widest][1] * 0.4, bodies[widest][2] * 0.4],
    ];
    const middle: Lab = [(dark[0] + light[0]) / 2, (dark[1] + light[1]) / 2, (dark[2] + light[2]) / 2];
    const best = here
      .filter(({ id }) => !family.pencils.includes(id) && laid.has(id))
      .map((pencil) => ({ pencil, off: Math.hypot(...middle.map((v, k) => v - laid.get(pencil.id)!.body[k])) }))
      .sort((p, q) => p.off - q.off)
      .at(0);
    if (best) set(`with ${best.pencil.code}`, { ...family, pencils: ordered([...family.pencils, best.pencil.id]) });
  }
}

function placeName(place: number, count: number): string {
  if (place === 0) return count === 1 ? 'Alone' : 'Darkest';
  if (place === count - 1) return 'Lightest';
  return count === 3 ? 'Middle' : `Middle ${place}`;
}

/** A pencil of the tray, with what it would do; the present one first. */
function PencilPick(props: {
  label: string;
  value: string;
  options: readonly { pencil: Pencil; says: string }[];
  fallback?: Pencil;
  onChange(id: string): void;
}) {
  const { label, value, options, fallback, onChange } = props;
  const { use } = useDesk();
  const has = options.some(({ pencil }) => pencil.id === value);
  const all = has || !fallback ? options : [{ pencil: fallback, says: '' }, ...options];
  return (
    <Select
      label={label}
      value={value}
      options={all.map(({ pencil, says }) => ({
        value: pencil.id,
        label: (
          <span className="flex items-center gap-2">
            <Laydown pencil={pencil} use={use} width={64} height={22} />
            <span className="font-figure font-bold">{pencil.code}</span>
            <span className="truncate text-sm">{pencil.ownName || pencil.name}</span>
          </span>
        ),
        says: says || undefined,
      }))}
      onChange={onChange}
    />
  );
}

/** How a family does and what could take its places; null until it is worked out. */
function useFamily(family: Family | undefined, neighbours: readonly Lab[]) {
  const { sheet, pencils, use } = useDesk();
  const { wheel } = sheet.plan.wheel;
  const ask = () => {
    const some = pencils.filter((pencil) => isHere(pencil) || family!.pencils.includes(pencil.id)).map(use.trayPencil);
    return pencilJobs.start('family', { family: family!, pencils: some, paper: use.paper, neighbours, wheel });
  };
  return useAnswer(family ? [ask] : [], [family, pencils, use, neighbours, wheel]).value;
}

/** What a swap would do to the passage and beside the neighbours, as far as that is known for sure. */
function swapWords(
  swap: Swap,
  family: Family,
  place: number,
  pencilById: ReadonlyMap<string, Pencil>,
  use: ReturnType<typeof useDesk>['use'],
  facts: FamilyFacts | undefined,
): string {
  const [own, other] = [pencilById.get(family.pencils[place]), pencilById.get(swap.pencil)];
  const sure = own && other ? sureDifference(use.beliefIn(own), use.beliefIn(other)) : 0;
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

/** The colours of what a thing borders on. */
function neighboursOf(id: string, summary: PageSummary | null, colours: ReadonlyMap<string, Lab>): Lab[] {
  const others = (summary?.borders ?? []).flatMap(({ a, b }) => (a === id ? [b] : b === id ? [a] : []));
  return others.map((other) => colours.get(other)).filter((lab) => lab !== undefined);
}
