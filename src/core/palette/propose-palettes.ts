import { wheelById } from '../colour/index.ts';
import { type Paper } from '../laydown/index.ts';
import { seededRandom } from '../random/index.ts';
import { pencilsOf } from '../recipe/index.ts';
import { type Run, checkpoints, quietRun } from '../run/index.ts';
import { type PencilOnPaper } from '../tray/index.ts';
import { paletteDifference, isClearlyDifferent } from './palette-difference.ts';
import { FamilyBook } from './families.ts';
import { type PageSummary } from './page.ts';
import { plotsFor } from './plots.ts';
import { type Plot, type Problem, compileProblem } from './problem.ts';
import { type Proposal, describe, named } from './proposal.ts';
import { handsOf } from './schemes/index.ts';
import { evenLikes } from './even-likes.ts';
import { type Search, startSearch } from './search.ts';
import { unmetBeforehand } from './unmet-wishes.ts';
import { FREE_MOOD, type Wishes } from './wishes.ts';

export interface SolveOptions {
  /** How many proposals at most. Default 4. */
  count?: number;
  /** Default 1. */
  seed?: number;
  /** Moves of the search for each plot; with the seed they settle the answer. Default 60,000. */
  moves?: number;
  /** For live use: stop after so many ms and answer with the best so far. */
  deadlineMs?: number;
  /** Told of what stands so far, a few times a second. */
  found?(proposals: Proposal[]): void;
}

const USUAL_MOVES = 60_000;
const MOVES_AT_ONCE = 1000;
const TELL_EVERY_MS = 350;
/** After so much of the work, plots that would not be shown are left as they are. */
const BEFORE_SOME_ARE_LEFT = 0.2;
/** With a limit, so much of the work goes before the first pencil is put away. */
const BEFORE_LIMIT = 0.3;
/** Pencils are put away in rounds, down to this share of those in use at once. */
const KEPT_EACH_ROUND = 0.72;

interface Played {
  plot: Plot;
  problem: Problem;
  search: Search;
}

/**
 * Proposes clearly different palettes for a page, the best first: every thing gets a part (hue, chroma, value) and a
 * real family of pencils, as many as its width holds. The scheme is played in several plots (which hand rules, on what
 * ground); each is searched by annealing under the objective of {@link TERMS}, and those that will not be
 * shown are left behind early. Pencils that must not come in, families
 * that are pinned and things that are laid are never touched; with a limit, pencils are put away in rounds, the least
 * used first, until it holds. What cannot be met is said in each proposal's `unmet`.
 * @param paper the one that `tray` was laid on
 * @throws RangeError for an empty tray, a page without things, an unknown wheel or scheme
 * @throws CancelledError when the run is cancelled
 */
export async function proposePalettes(
  page: PageSummary,
  tray: readonly PencilOnPaper[],
  paper: Paper,
  wishes: Wishes,
  options: SolveOptions = {},
  run: Run = quietRun,
): Promise<Proposal[]> {
  const { count = 4, seed = 1, moves = USUAL_MOVES, deadlineMs = Infinity, found } = options;
  const began = run.now();
  const late = () => run.now() - began > deadlineMs;
  const checkpoint = checkpoints(run);
  await checkpoint(0, 'looking at the tray');
  const away = new Set(wishes.mustNot);
  const only = new Set(wishes.only?.length ? [...wishes.only, ...(wishes.must ?? [])] : tray.map(({ id }) => id));
  const mayCome = (id: string) => only.has(id) && !away.has(id);
  // Pinned families stay, whatever else may come in.
  const staying = new Set(Object.values(wishes.pinned ?? {}).flatMap(pencilsOf));
  const book = new FamilyBook(
    tray.filter(({ id }) => mayCome(id) || staying.has(id)),
    paper,
  );
  const among = book.tray.flatMap(({ id }, i) => (mayCome(id) ? [i] : []));
  if (among.length === 0) throw new RangeError('Every pencil that is here was wished away: let at least one come in.');
  const unmet = unmetBeforehand(wishes, tray);
  const wheel = wheelById(wishes.wheel ?? 'painters');
  const plots = plotsFor(handsOf(wishes.scheme, wishes.anchor, wishes.hands), wheel, wishes.mood ?? FREE_MOOD);
  const played: Played[] = [];
  let told = began;
  const tell = (always = false) => {
    if (!found || (!always && run.now() - told < TELL_EVERY_MS)) return;
    told = run.now();
    found(
      named(
        chosenFrom(played, count).map(({ plot, problem, search }) =>
          describe(plot, problem, search.best, page, unmet, wishes.atMost),
        ),
      ),
    );
  };
  for (const plot of plots) {
    await checkpoint((0.15 * played.length) / plots.length, `trying: ${plot.says}`);
    const problem = compileProblem(page, book, wishes, plot, among);
    played.push({ plot, problem, search: startSearch(problem, seededRandom(seed + 7919 * played.length)) });
    if (!wishes.atMost) tell(played.length === 1);
  }
  const limited = wishes.atMost ? BEFORE_LIMIT : 1;
  let going = played;
  for (
    let done = 0;
    done < limited * moves && !(late() || (wishes.atMost && run.now() - began > BEFORE_LIMIT * deadlineMs));
    done += MOVES_AT_ONCE
  ) {
    const share = () => Math.max(done / moves, Math.min(1, (run.now() - began) / deadlineMs));
    if (!wishes.atMost && going === played && share() >= BEFORE_SOME_ARE_LEFT) going = chosenFrom(played, count);
    for (const each of going) {
      each.search.anneal(Math.min(MOVES_AT_ONCE, limited * moves - done));
      await checkpoint(0.15 + 0.85 * share(), `weighing: ${each.plot.says}`);
    }
    if (!wishes.atMost) tell();
  }
  if (wishes.atMost) {
    const stays = new Set(book.tray.flatMap(({ id }, i) => (staying.has(id) ? [i] : [])));
    for (const [i, each] of played.entries()) {
      await checkpoint(
        BEFORE_LIMIT + ((1 - BEFORE_LIMIT) * i) / played.length,
        `putting pencils away: ${each.plot.says}`,
      );
      const until = began + deadlineMs * (BEFORE_LIMIT + ((1 - BEFORE_LIMIT) * (i + 1)) / played.length);
      await limit(
        each,
        (kept) => compileProblem(page, book, wishes, each.plot, kept),
        {
          most: wishes.atMost,
          may: new Set(among),
          stays,
          moves: (1 - limited) * moves,
          seed: seed + i,
          late: () => run.now() > until,
        },
        () =>
          checkpoint(
            BEFORE_LIMIT + ((1 - BEFORE_LIMIT) * (i + 0.5)) / played.length,
            `putting pencils away: ${each.plot.says}`,
          ),
      );
    }
  }
  for (const { problem, search } of played) search.best = evenLikes(problem, search.best);
  run.progress(1, 'done');
  const best = chosenFrom(played, count);
  const proposals = named(
    balancedFirst(
      best.map(({ plot, problem, search }) => describe(plot, problem, search.best, page, unmet, wishes.atMost)),
    ),
  );
  return proposals.map((proposal) => ({ ...proposal, tradesAway: tradeOf(proposal, proposals) }));
}

interface Limits {
  /** How many pencils at most. */
  most: number;
  /** Places of the tray that may be used, and those of pinned families. */
  may: ReadonlySet<number>;
  stays: ReadonlySet<number>;
  /** Moves of the search for each plot in all. */
  moves: number;
  seed: number;
  late(): boolean;
}

/** Puts the least used pencils away in rounds until no more than the wished number are in use. */
async function limit(
  each: Played,
  withOnly: (kept: readonly number[]) => Problem,
  { most, may, stays, moves, seed, late }: Limits,
  checkpoint: () => Promise<void>,
): Promise<void> {
  const rounds = Math.max(1, Math.ceil(Math.log(most / usedBy(each, stays).length) / Math.log(KEPT_EACH_ROUND)));
  for (let round = 0; ; round++) {
    const used = usedBy(each, stays);
    if (used.length <= most) break;
    const kept = used
      .slice(0, Math.max(most, Math.floor(KEPT_EACH_ROUND * used.length)))
      .filter((place) => may.has(place));
    if (kept.length === 0) break;
    each.problem = withOnly(kept);
    each.search = startSearch(each.problem, seededRandom(seed + 31 * round));
    for (let done = 0; done < moves / rounds && !late(); done += MOVES_AT_ONCE) {
      each.search.anneal(MOVES_AT_ONCE);
      await checkpoint();
    }
    // Pinned families may need more than was wished; that is said, not gone round for ever.
    if (usedBy(each, stays).length >= used.length) break;
  }
}

/** The places of the pencils in use, those that must come in or stay first, then the most used. */
function usedBy({ problem, search }: Played, stays: ReadonlySet<number>): number[] {
  const weights = new Map<number, number>();
  problem.things.forEach((_, i) => {
    for (const pencil of problem.options[i]![search.best.chosen[i]!]!.pencils) {
      weights.set(pencil, (weights.get(pencil) ?? 0) + problem.share[i]! + 1 / problem.things.length);
    }
  });
  for (const pencil of [...problem.must, ...stays]) weights.set(pencil, Infinity);
  return [...weights].sort(([p, w], [q, v]) => (v === w ? p - q : v - w)).map(([place]) => place);
}

/** The best first, then the next best that is clearly different from all before it; the most different where none is. */
function chosenFrom(played: readonly Played[], count: number): Played[] {
  const bodies = ({ problem, search }: Played) =>
    problem.options.map((options, i) => options[search.best.chosen[i]!]!.body);
  const left = [...played].sort((p, q) => p.search.best.objective - q.search.best.objective);
  const chosen: Played[] = [];
  const nearest = (each: Played) =>
    Math.min(Infinity, ...chosen.map((other) => paletteDifference(bodies(each), bodies(other), each.problem.share)));
  while (chosen.length < count && left.length > 0) {
    const apart = left.map(nearest);
    const clear = apart.findIndex(isClearlyDifferent);
    const next = left.splice(clear >= 0 ? clear : apart.indexOf(Math.max(...apart)), 1)[0]!;
    if (clear < 0 && Math.max(...apart) < 1) break;
    chosen.push(next);
  }
  return chosen;
}

/** The most balanced before the others, which keep their order: the one whose scores have the highest harmonic mean. */
function balancedFirst(proposals: readonly Proposal[]): Proposal[] {
  const balance = ({ scores }: Proposal) =>
    scores.length / scores.reduce((sum, { score }) => sum + 1 / Math.max(1, score), 0);
  const first = proposals.reduce((p, q) => (balance(q) > balance(p) ? q : p));
  return [first, ...proposals.filter((proposal) => proposal !== first)];
}

/** Where a proposal falls behind most, in a sentence. */
function tradeOf(proposal: Proposal, all: readonly Proposal[]): string {
  const behind = proposal.scores.flatMap(({ id, name, score }) => {
    const best = all
      .map((other) => ({ name: other.name, score: other.scores.find((each) => each.id === id)!.score }))
      .reduce((p, q) => (q.score > p.score ? q : p));
    return best.score - score >= 3 ? [{ name, score, best, by: best.score - score }] : [];
  });
  const worst = behind.sort((p, q) => q.by - p.by).at(0);
  if (!worst) return 'It falls behind the others in nothing that can be measured here.';
  return `It trades away “${worst.name}”: ${worst.score} of 100, where “${worst.best.name}” has ${worst.best.score}.`;
}
