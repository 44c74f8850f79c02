/** What a step's id ends with where its layer is laid place by place. */
const PLACE = /~\d+$/;

/**
 * Layers up to the last one that is done in all places; layers of an earlier plan are not among this plan's steps and
 * count as laid.
 */
export function laidLayers(
  thingId: string,
  layers: readonly { id: string }[],
  doneIds: ReadonlySet<string>,
  steps: readonly { id: string; thingId: string }[],
): number {
  const left = steps.filter((step) => step.thingId === thingId && !doneIds.has(step.id));
  const open = new Set(left.map(({ id }) => id.replace(PLACE, '')));
  const first = layers.findIndex((layer) => open.has(`${thingId}/${layer.id}`));
  return first < 0 ? layers.length : first;
}
