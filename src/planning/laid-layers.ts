/** Layers up to the last one that is done; layers of an earlier plan are not among this plan's steps and count as laid. */
export function laidLayers(
  thingId: string,
  layers: readonly { id: string }[],
  doneIds: ReadonlySet<string>,
  steps: readonly { id: string; thingId: string }[],
): number {
  const open = new Set(steps.flatMap((step) => (step.thingId === thingId && !doneIds.has(step.id) ? [step.id] : [])));
  const first = layers.findIndex((layer) => open.has(`${thingId}/${layer.id}`));
  return first < 0 ? layers.length : first;
}
