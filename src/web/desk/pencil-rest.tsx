import clsx from 'clsx';
import { useMemo } from 'react';
import type { Pencil } from '../../contracts/index.ts';
import { BELIEFS, beliefOfAll } from '../../core/laydown/index.ts';
import { type PaperModel } from '../../pencils/index.ts';
import { useBenchQuery } from '../api/desk-api.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { BELIEF_WORDS, BeliefMark, Laydown, Why } from '../parts/index.ts';
import { pointAtPencil } from './at-the-desk.ts';
import { aboutHours } from './about-hours.ts';
import { useDesk } from './desk-context.ts';
import { thingsOf } from '../../plan/index.ts';

/** The pencils in play in the order in which they will be picked up; pointing at one lights its places on the sheet. */
export function PencilRest({ whole }: { whole: boolean }) {
  const { hours, sheet, pencilById, paperModel } = useDesk();
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((state) => state.atTheDesk.thingId);
  const thingId = whole ? null : chosen;
  const pointed = useAppSelector((state) => state.atTheDesk.pencilId);
  const ids = usePencilsInPlay(thingId);
  const pencils = ids.flatMap((id) => pencilById.get(id) ?? []);
  const thing = thingsOf(sheet.plan).find((each) => each.id === thingId);
  return (
    <section
      aria-label="Pencil rest"
      className="min-h-28 shrink-0 border-t border-rule bg-rest px-4 pt-1.5 max-md:min-h-34"
    >
      <p className="mb-1 flex justify-between text-[0.82rem] leading-tight">
        <span>
          <strong className="font-head">Pencil rest</strong>
          {pencils.length > 0 &&
            (thing
              ? `, for ${thing.name}`
              : `, ${pencils.length} in the order they are picked up; the page takes about ${aboutHours(hours.minutes)}`)}
        </span>
        {pencils.length > 0 && <HowSure pencils={pencils} paperModel={paperModel} />}
      </p>
      {pencils.length === 0 ? (
        <p className="pt-3 text-soft">The pencils of this page will lie here once a palette is chosen at the Wheel.</p>
      ) : (
        <ul className="flex [scrollbar-width:thin] gap-2.5 overflow-x-auto pb-1">
          {pencils.map((pencil) => (
            <li key={pencil.id} className="shrink-0">
              <button
                type="button"
                aria-pressed={pointed === pencil.id}
                aria-label={`${pencil.code} ${pencil.ownName || pencil.name}: show its places`}
                className={clsx(
                  'block w-24 text-left outline-offset-1',
                  pointed === pencil.id && 'outline-2 outline-ink',
                )}
                onMouseEnter={() => dispatch(pointAtPencil(pencil.id))}
                onMouseLeave={() => dispatch(pointAtPencil(null))}
                onFocus={() => dispatch(pointAtPencil(pencil.id))}
                onBlur={() => dispatch(pointAtPencil(null))}
              >
                <Laydown pencil={pencil} paperModel={paperModel} width={96} height={44} />
                <span className="flex items-baseline justify-between gap-1 leading-tight">
                  <span className="font-figure text-[0.98rem] font-bold whitespace-nowrap">
                    {pencil.code} <BeliefMark belief={paperModel.beliefIn(pencil)} />
                  </span>
                  <span className="truncate text-[0.72rem]">{pencil.ownName || pencil.name}</span>
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** How many of the pencils in play were measured, and how far off what is foretold of them may be. */
function HowSure({ pencils, paperModel }: { pencils: readonly Pencil[]; paperModel: PaperModel }) {
  const beliefs = pencils.map(paperModel.beliefIn);
  const all = beliefOfAll(beliefs)!;
  const measured = beliefs.filter(({ ground }) => ground === 'fitted' || ground === 'carried').length;
  const grounds = BELIEFS.flatMap((ground) => {
    const count = beliefs.filter((belief) => belief.ground === ground).length;
    return count > 0 ? [`${count} ${BELIEF_WORDS[ground]}`] : [];
  });
  return (
    <span className="text-soft">
      {measured === pencils.length ? 'all measured' : `${measured} of ${pencils.length} measured`}, colours about ±
      {all.apart.toFixed(0)}{' '}
      <Why of="how sure these colours are">
        Of these pencils, {grounds.join('; ')}. What comes out usually lies about {all.apart.toFixed(1)} (CIEDE2000, 1
        is just seen) from what is shown.
        {measured < pencils.length && ' Swatches read and fitted at the Tray bring that down to about 1.'}
      </Why>
    </span>
  );
}

/** Ids of the pencils in play: of one thing by its layers, of the page by the bench's order, or by its families. */
function usePencilsInPlay(thingId: string | null): string[] {
  const { sheet, recipes } = useDesk();
  const { data: bench } = useBenchQuery(sheet.id);
  const things = thingsOf(sheet.plan);
  return useMemo(() => {
    const recipe = thingId ? recipes.get(thingId) : undefined;
    if (recipe) return unique(recipe.layers.map((layer) => layer.pencil));
    const byId = new Map(bench?.plan?.steps.map((step) => [step.id, step.pencil]));
    const ordered = (bench?.plan?.order ?? []).map((id) => byId.get(id)!);
    const planned = things.flatMap((thing) => recipes.get(thing.id)?.layers.map((layer) => layer.pencil) ?? []);
    const inPlay = new Set(planned);
    return unique([...ordered.filter((id) => inPlay.has(id)), ...planned]);
  }, [thingId, recipes, bench, things]);
}

function unique(ids: readonly string[]): string[] {
  return [...new Set(ids)];
}
