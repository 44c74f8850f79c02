import { type PencilDeclaration, type PencilOptics, pencilOptics } from '../laydown/index.ts';

/** The optics of a pencil with a key that changes when they do. */
export interface KeyedOptics {
  optics: PencilOptics;
  key: string;
}

/** Optics by what was declared of a pencil: each is solved once. */
export class OpticsStore {
  readonly #known = new Map<string, KeyedOptics>();

  /** @throws RangeError for a declaration that no pencil can have, see {@link pencilOptics} */
  of(pencil: PencilDeclaration): KeyedOptics {
    const key = keyOf(pencil);
    let known = this.#known.get(key);
    if (!known) this.#known.set(key, (known = { optics: pencilOptics(pencil), key }));
    return known;
  }
}

/** Names and codes of a pencil that come along are left out, so that pencils declared alike are solved once. */
function keyOf(pencil: PencilDeclaration): string {
  const { masstone, type, opacity, laydown, fills, scatter, slope, tinted, presses, masstoneOn } = pencil;
  return JSON.stringify([masstone, type, opacity, laydown, fills, scatter, slope, tinted, presses, masstoneOn]);
}
