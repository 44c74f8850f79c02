import { type PencilOnPaper } from '../tray/index.ts';
import { moodTargets } from './measures.ts';
import { NATURAL_KEPT } from './options.ts';
import { type Problem } from './problem.ts';
import { type Wishes } from './wishes.ts';

/** Wishes that no palette can meet, each in a sentence. */
export function unmetBeforehand({ must = [], mustNot = [], atMost }: Wishes, tray: readonly PencilOnPaper[]): string[] {
  const here = new Map(tray.map(({ id, code }) => [id, code]));
  const both = must.filter((id) => mustNot.includes(id));
  const gone = must.filter((id) => !here.has(id)).length;
  const free = must.filter((id) => here.has(id) && !mustNot.includes(id)).length;
  return [
    ...both.map((id) => `${here.get(id) ?? 'A pencil'} must and must not come in; it was left out.`),
    ...(gone > 0
      ? [`${gone === 1 ? 'A pencil' : `${gone} pencils`} that must come in ${gone === 1 ? 'is' : 'are'} not here.`]
      : []),
    ...(atMost && free > atMost ? [`${free} pencils must come in, which is more than the ${atMost} allowed.`] : []),
  ];
}

/** Wishes that this answer does not meet, each in a sentence. */
export function unmetBy(
  problem: Problem,
  chosen: ArrayLike<number>,
  atMost: number | null | undefined,
  pencils: number,
): string[] {
  const { things, options, must, tray, mood, share } = problem;
  const own = things.map((_, i) => options[i]![chosen[i]!]!);
  const used = new Set(own.flatMap((option) => option.pencils));
  const lost = must.filter((place) => !used.has(place)).map((place) => tray[place]!.code);
  const mean = (of: (i: number) => number) => own.reduce((sum, _, i) => sum + share[i]! * of(i), 0);
  const light = mean((i) => own[i]!.body[0]);
  const wanted = moodTargets(mood);
  return [
    ...things.flatMap(({ name }, i) =>
      own[i]!.natural > NATURAL_KEPT
        ? [`Nothing chosen here comes nearer than ${own[i]!.natural.toFixed(0)} to the natural colour of ${name}.`]
        : [],
    ),
    ...(lost.length > 0
      ? [
          `${lost.join(', ')} must come in but found no place: no thing is free to take ${lost.length > 1 ? 'them' : 'it'}.`,
        ]
      : []),
    ...(atMost && pencils > atMost
      ? [`${pencils} pencils are needed by what is pinned or must come in; ${atMost} were wished for.`]
      : []),
    ...(wanted.light !== null && mood.light !== null && Math.abs(light - wanted.light) > 10
      ? [
          `The page comes out ${light > wanted.light ? 'lighter' : 'darker'} than wished: L* ${light.toFixed(0)} on average.`,
        ]
      : []),
  ];
}
