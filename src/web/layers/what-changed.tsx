import { type Consequences, FIELD_ENDS } from '../../core/recipe/index.ts';
import { Why } from '../parts/index.ts';

/** CIEDE2000 that an eye just sees. */
const JUST_SEEN = 1;

/** What the last change of a recipe does to what comes out. */
export function WhatChanged({ of: { colour, where, value, toothBefore, toothAfter } }: { of: Consequences }) {
  const percent = (share: number) => `${Math.round(100 * share)}%`;
  // Where no neighbour's colour arrives is everywhere else: that tells nothing.
  const told = Object.entries(where).filter(([field, { value: at }]) => field !== 'reflect' || at > 0.34);
  const places = told.map(([field, { value: at }]) => {
    const [low, high] = FIELD_ENDS[field as keyof typeof where];
    return at < 0.34 ? `towards “${low}”` : at > 0.66 ? `towards “${high}”` : `between “${low}” and “${high}”`;
  });
  return (
    <p className="border-l-2 border-rule pl-2 text-[0.95rem]" role="status">
      {colour < JUST_SEEN
        ? 'That change is not seen in what comes out.'
        : `That changes it by ${colour.toFixed(0)}, most ${places.join(' and ')}: ${Math.abs(value) < 1 ? 'no darker or paler' : `${Math.abs(value).toFixed(0)} L* ${value < 0 ? 'darker' : 'paler'}`} there.`}{' '}
      {percent(toothAfter) === percent(toothBefore)
        ? `It leaves ${percent(toothAfter)} of the tooth, as before.`
        : `It leaves ${percent(toothAfter)} of the tooth; before, ${percent(toothBefore)}.`}
      <Why of="how a change is judged">
        The largest colour difference (CIEDE2000, 1 is just seen) between before and after over all values of this
        thing, by the layer model on this paper, and the least tooth that any layer leaves.
      </Why>
    </p>
  );
}
