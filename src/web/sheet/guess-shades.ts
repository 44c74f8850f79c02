import { type Proposal, type Question } from '../../core/things/index.ts';
import { type PageRegions } from '../desk/desk-context.ts';
import { greysApart } from '../workers/index.ts';

/** Pale for what is not asked about now, and the two that are. */
const PALE = 244;
const DARK = 128;
const GREY = 196;

/**
 * A grey for each region of the page, four bytes by id: what is asked about set off, or every guess apart from its
 * neighbours; clear for what is in a thing already.
 */
export function shadesOf(page: PageRegions, { guesses }: Proposal, question: Question | undefined): Uint8Array {
  const shades = new Uint8Array(4 * (page.regions.length + 1));
  const greys = question ? null : greysApart(guesses.length, guessNeighbours(page, guesses));
  guesses.forEach(({ regionIds }, k) => {
    const shade = greys ? greys[k + 1]! : shadeIn(question!, k);
    for (const id of regionIds) shades.set([shade, shade, shade, 255], 4 * id);
  });
  return shades;
}

function shadeIn(question: Question, k: number): number {
  if (question.kind === 'what') return k === question.group ? DARK : PALE;
  return k === question.a ? DARK : k === question.b ? GREY : PALE;
}

function guessNeighbours({ regions, neighbours }: PageRegions, guesses: Proposal['guesses']) {
  const guessOf = new Uint16Array(regions.length + 1);
  guesses.forEach(({ regionIds }, k) => regionIds.forEach((id) => (guessOf[id] = k + 1)));
  return neighbours.flatMap(({ a, b }) => {
    const [p, q] = [guessOf[a], guessOf[b]];
    return p && q && p !== q ? [{ a: p, b: q }] : [];
  });
}
