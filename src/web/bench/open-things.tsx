import type { BenchPlan } from '../../contracts/index.ts';
import { BY_THE_PAGE, type OpenThings as OpenThingsWished } from '../../core/bench/index.ts';
import { decide } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button } from '../parts/index.ts';

/** How many things may be open, where a number is chosen. */
type Open = Exclude<OpenThingsWished, typeof BY_THE_PAGE>;

/** How many things may be begun and unfinished at once, from one at a time to any. */
export const OPEN: readonly Open[] = [1, 2, 3, 4, 6, 8, 12, 'any'];

function labelOf(open: Open): string {
  if (open === 'any') return 'one pencil across the page';
  return open === 1 ? 'one thing at a time' : `at most ${open} things open`;
}

function whatItMeans(open: Open): string {
  if (open === 1) return 'Each thing is finished before the next; most changes of pencil.';
  if (open === 'any') return 'Fewest changes of pencil; everything stays half done for long.';
  return open < 6 ? 'Few things half done, more changes of pencil.' : 'Fewer changes of pencil, more half-done things.';
}

/** The number that the page chose; null where it was wished or nothing is in order yet. */
export function chosenByPage(benchPlan: BenchPlan | null): Open | null {
  return benchPlan?.openTried.find(({ isChosen }) => isChosen)?.openThings ?? null;
}

/** Why the page chose as it did, in one or two sentences. */
export function whyChosen({ openTried }: Pick<BenchPlan, 'openTried'>): string {
  const at = openTried.findIndex(({ isChosen }) => isChosen);
  const chosen = openTried[at];
  if (!chosen) return '';
  const fewer = openTried[at - 1];
  const more = openTried.find((each, k) => k > at && each.pickUps < chosen.pickUps);
  const before = fewer ? `${fewer.openThings} would take ${fewer.pickUps}` : '';
  const beyond = more
    ? `${more.openThings === 'any' ? 'any number' : more.openThings} still ${more.pickUps}`
    : 'more save none';
  return `${chosen.pickUps} pick-ups; ${[before, beyond].filter(Boolean).join(', ')}. A further open thing has to save a fortieth of them.`;
}

/** From one thing at a time to one pencil across the page; by default the page chooses. */
export function OpenThings({ benchPlan }: { benchPlan: BenchPlan | null }) {
  const { sheet } = useDesk();
  const { bench } = sheet.plan;
  const change = usePlanChange(sheet.id, 'bench');
  const isByPage = bench.openThings === BY_THE_PAGE;
  const chosen = isByPage ? chosenByPage(benchPlan) : null;
  const open = bench.openThings === BY_THE_PAGE ? (chosen ?? 4) : bench.openThings;
  const numberOf = (each: Open) => (each === 'any' ? Infinity : each);
  const at = OPEN.findIndex((each) => numberOf(each) >= numberOf(open));
  const wish = (openThings: OpenThingsWished) =>
    void change('things open at once', (plan) => decide(plan, { bench: { ...bench, openThings } }));
  return (
    <div>
      <input
        type="range"
        aria-label="Things open at once"
        aria-valuetext={isByPage ? `by the page: ${chosen ? labelOf(chosen) : 'not chosen yet'}` : labelOf(open)}
        className="h-10 w-full accent-neutral-800"
        min={0}
        max={OPEN.length - 1}
        value={at}
        onChange={({ target }) => wish(OPEN[Number(target.value)]!)}
      />
      <p className="flex justify-between text-sm text-soft" aria-hidden>
        <span>thing by thing</span>
        <span>pencil by pencil</span>
      </p>
      <p className="mt-1 text-[0.95rem]">
        <strong>{isByPage ? (chosen ? `${labelOf(chosen)}, by the page` : 'as the page asks') : labelOf(open)}</strong>
        <span className="block text-sm text-soft">
          {isByPage
            ? chosen
              ? whyChosen(benchPlan!)
              : 'How many is chosen when the steps are put in order: as few as save nearly all that can be saved.'
            : whatItMeans(open)}{' '}
          {open !== 'any' && 'Things that want the same pencils count as one.'}
        </span>
      </p>
      {!isByPage && (
        <Button look="bare" className="px-0!" onClick={() => wish(BY_THE_PAGE)}>
          Let the page choose
        </Button>
      )}
    </div>
  );
}
