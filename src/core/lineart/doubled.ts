/** A list twice as long, or of `least`, that begins with the one given: how lists grow whose length nobody knows. */
export function doubled(list: Int32Array, least = 0): Int32Array<ArrayBuffer> {
  const more = new Int32Array(Math.max(2 * list.length, least));
  more.set(list);
  return more;
}
