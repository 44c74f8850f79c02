/** A part of the way from shadow to highlight. */
export interface Interval {
  /** 0 (deepest shadow) to 1 (highlight). */
  from: number;
  to: number;
}

/** Which part of a shape a zone covers, in words. */
export function zoneWords({ from, to }: Interval): string {
  if (from <= 0 && to >= 1) return 'all over';
  if (from > 0.2 && to - from <= 0.2) return from > 0.6 ? 'a narrow band beside the highlight' : 'a narrow band';
  if (from <= 0)
    return to < 0.25 ? 'only the deepest shadow' : to < 0.5 ? 'the shadow' : 'shadow and middle, not the light';
  const light = to >= 1 ? '' : ', up to the highlight';
  return from < 0.2 ? `all but the deepest shadow${light}` : `from the middle into the light${light}`;
}
