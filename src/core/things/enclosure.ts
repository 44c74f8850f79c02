/**
 * Which region runs all the way round each other one: the smallest that does.
 * @param count of regions
 * @param beside for each region the ids of its neighbours; 0 stands for the margin and the edge of the picture
 * @param holed the regions with holes: only these can run round another
 * @param areas by id, to find the smallest
 * @returns by id the region around it, 0 where none is
 */
export function enclosers(
  count: number,
  beside: readonly (readonly number[])[],
  holed: readonly number[],
  areas: ArrayLike<number>,
): Uint16Array {
  const around = new Uint16Array(count + 1);
  // From the largest to the smallest, so that the smallest is written last.
  for (const ring of [...holed].sort((p, q) => areas[q]! - areas[p]!)) {
    // What the margin can be reached from without crossing the ring lies outside it.
    const outside = new Uint8Array(count + 1);
    outside[0] = 1;
    const stack = [...beside[0]!].filter((id) => id !== ring);
    for (const id of stack) outside[id] = 1;
    while (stack.length) {
      for (const next of beside[stack.pop()!]!) {
        if (outside[next] || next === ring) continue;
        outside[next] = 1;
        stack.push(next);
      }
    }
    for (let id = 1; id <= count; id++) if (id !== ring && !outside[id]) around[id] = ring;
  }
  return around;
}
