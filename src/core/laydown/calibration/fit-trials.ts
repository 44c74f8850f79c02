import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { type Lab } from '../../colour/index.ts';
import { bareGround } from '../ground.ts';
import { type Pass, type ToolPass, layPasses } from '../lay-passes.ts';
import { type Paper } from '../papers/index.ts';
import { type PencilDeclaration, pencilOptics } from '../pencil-optics.ts';
import { type Hand, PRESSURES, type Pressure } from '../pressure.ts';
import { errors } from './errors.ts';

/** A trial patch, and the colour that really came out. */
export interface TrialReading {
  passes: readonly (Pass | ToolPass)[];
  lab: Lab;
}

/** How sure one is of numbers before a trial: deviations of their logarithms, and of a trial's reading, CIELAB. */
const SURE = { hand: 0.35, laydown: 0.35, scatter: 1, reading: 1.5 };
/** Nothing is taken to be more than so many times what was thought. */
const MOST = Math.log(4);

/**
 * What trials say of the person's hand: a factor for each pressure used in them, beside the hand that the paper has. The
 * pencils are taken to be as they are known. Pressures that no trial used are left out; passes whose pressure is a share
 * and has no name, as in patches or a fading zone, say nothing of it.
 * @param paper as it takes pencil in the hand that is known so far
 * @throws RangeError without a trial, or as layPasses does
 */
export function handFromTrials(paper: Paper, trials: readonly TrialReading[]): Hand {
  if (trials.length === 0) throw new RangeError('Without a trial there is nothing to learn of the hand.');
  const used = PRESSURES.filter((name) =>
    trials.some(({ passes }) => passes.some(({ pressure }) => pressure === name)),
  );
  if (used.length === 0) return {};
  const handOf = (logs: readonly number[]): Hand => {
    const known: Partial<Record<Pressure, number>> = { ...paper.hand };
    used.forEach((name, i) => (known[name] = (known[name] ?? 1) * Math.exp(logs[i]!)));
    return known;
  };
  const logs = sought(
    used.map(() => SURE.hand),
    (at) => {
      const ground = bareGround({ ...paper, hand: handOf(at) });
      return trials.flatMap(({ passes, lab }) => errors(layPasses(ground, passes).lab, lab, 1 / SURE.reading));
    },
  );
  return Object.fromEntries(used.map((name, i) => [name, Math.exp(logs[i]!)]));
}

/**
 * What a trial says of one pencil in it: how much it lays and scatters beside what was thought. The hand and the other
 * pencils are taken to be as they are known.
 * @param pencil as it was thought to be
 * @param passesWith the passes of the trial with that pencil as the given optics
 * @throws RangeError as pencilOptics and layPasses do
 */
export function pencilFromTrial(
  paper: Paper,
  pencil: PencilDeclaration,
  passesWith: (optics: Pass['pencil']) => readonly (Pass | ToolPass)[],
  lab: Lab,
): { laydown: number; scatter: number } {
  const { laydown = 1, scatter = 1 } = pencil;
  const ground = bareGround(paper);
  const at = (logs: readonly number[]) => ({
    laydown: laydown * Math.exp(logs[0]!),
    scatter: scatter * Math.exp(logs[1]!),
  });
  const logs = sought([SURE.laydown, SURE.scatter], (now) => {
    const optics = pencilOptics({ ...pencil, ...at(now) });
    return errors(layPasses(ground, passesWith(optics)).lab, lab, 1 / SURE.reading);
  });
  return at(logs);
}

/** Logarithms near nothing at which the errors, and how far they themselves stray, are least. */
function sought(sure: readonly number[], errorsAt: (logs: readonly number[]) => number[]): number[] {
  const all = (logs: readonly number[]) => [...errorsAt(logs), ...logs.map((value, i) => value / sure[i]!)];
  const start = sure.map(() => 0);
  const x = all(start).map((_, i) => i);
  const { parameterValues } = levenbergMarquardt(
    { x, y: x.map(() => 0) },
    (at: number[]) => {
      const off = all(at);
      return (i: number) => off[i]!;
    },
    {
      initialValues: start,
      gradientDifference: 0.02,
      maxIterations: 25,
      damping: 0.01,
      minValues: sure.map(() => -MOST),
      maxValues: sure.map(() => MOST),
    },
  );
  return [...parameterValues];
}
