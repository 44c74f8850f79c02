import type { Reference, Thing } from '../../contracts/index.ts';

/** The pictures of one thing, or with null those of the whole sheet; what a thing leaves when it is gone is the sheet's. */
export function pinnedTo(
  thingId: string | null,
  references: readonly Reference[],
  things: readonly Pick<Thing, 'id'>[],
): Reference[] {
  const there = new Set(things.map(({ id }) => id));
  return references.filter(
    (reference) => (reference.thingId && there.has(reference.thingId) ? reference.thingId : null) === thingId,
  );
}
