/** When something was begun and finished, milliseconds from any fixed origin. */
export interface Span {
  begun: number;
  finished: number;
}

/** A pause longer than this ends a sitting, ms. */
const PAUSE_MS = 90 * 60_000;

/**
 * Cuts a log into the sittings in which it was worked: steps with less than an hour and a half between them belong to
 * one.
 * @param log in any order
 * @param spanOf when an entry was begun and finished
 * @returns sittings oldest first, each with its entries in the order in which they were finished
 */
export function sittingsOf<T>(log: readonly T[], spanOf: (entry: T) => Span): (Span & { entries: T[] })[] {
  const sorted = [...log].sort((p, q) => spanOf(p).finished - spanOf(q).finished);
  const sittings: (Span & { entries: T[] })[] = [];
  for (const entry of sorted) {
    const { begun, finished } = spanOf(entry);
    const last = sittings.at(-1);
    if (last && begun - last.finished < PAUSE_MS) {
      last.entries.push(entry);
      last.begun = Math.min(last.begun, begun);
      last.finished = Math.max(last.finished, finished);
    } else sittings.push({ begun, finished, entries: [entry] });
  }
  return sittings;
}
