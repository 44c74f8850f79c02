/** A named thing of a demo page: what its printed key says of it. */
export interface KeyedThing {
  name: string;
  focus?: boolean;
  /** The natural colour that it would keep, `#rrggbb`. */
  natural?: string;
  /** Id of a form, where the page's key states one. */
  form?: string;
}

/** The things of The Ferry Steps by the names that its drawing uses. */
export const ferryStepsThings: readonly (KeyedThing & { drawn: string })[] = [
  { drawn: 'dusk sky', name: 'Dusk sky', form: 'fades-down' },
  { drawn: 'clouds', name: 'Clouds' },
  { drawn: 'moon', name: 'Moon', natural: '#f3e6b3' },
  { drawn: 'stars', name: 'Stars', natural: '#f6ecc4', form: 'flat' },
  { drawn: 'gulls', name: 'Gulls', natural: '#dfe3e6' },
  { drawn: 'far hills', name: 'Far hills' },
  { drawn: 'far houses', name: 'Far houses' },
  { drawn: 'lit windows', name: 'Lit windows', natural: '#f2c14e' },
  { drawn: 'still water', name: 'Still water', form: 'fades-up' },
  { drawn: 'ripples', name: 'Ripples' },
  { drawn: 'lantern reflections', name: 'Lantern reflections' },
  { drawn: 'ferry reflection', name: 'Ferry reflection' },
  { drawn: 'mast and spars', name: 'Mast and spars', natural: '#8a5a34' },
  { drawn: 'funnel', name: 'Funnel' },
  { drawn: 'cabin', name: 'Cabin' },
  { drawn: 'cabin roof', name: 'Cabin roof' },
  { drawn: 'hull', name: 'Hull' },
  { drawn: 'rubbing strake', name: 'Rubbing strake', natural: '#7d4e2d' },
  { drawn: 'fenders', name: 'Fenders', natural: '#8b7a63' },
  { drawn: 'life ring', name: 'Life ring' },
  { drawn: 'paper lanterns', name: 'Paper lanterns', focus: true, natural: '#f08a24' },
  { drawn: 'lantern fittings', name: 'Lantern fittings' },
  { drawn: 'rope', name: 'Ropes' },
  { drawn: 'gangplank', name: 'Gangplank', natural: '#96683f' },
  { drawn: 'stove pipe', name: 'Stove pipe', natural: '#55565a' },
  { drawn: 'hut walls', name: 'Hut walls' },
  { drawn: 'hut door', name: 'Hut door' },
  { drawn: 'counter', name: 'Counter', natural: '#8a5f3a' },
  { drawn: 'roof shingles', name: 'Roof shingles' },
  { drawn: 'roof ridge', name: 'Roof ridge' },
  { drawn: 'step treads', name: 'Step treads' },
  { drawn: 'step risers', name: 'Step risers' },
  { drawn: 'bell post', name: 'Bell post', natural: '#6f4a2f' },
  { drawn: 'brass bell', name: 'Brass bell', natural: '#c8962e' },
  { drawn: 'crate', name: 'Crate', natural: '#a3784a' },
  { drawn: 'tin kettle', name: 'Tin kettle', natural: '#8e959b' },
  { drawn: 'rope coil', name: 'Rope coil', natural: '#b79a68' },
  { drawn: 'reeds', name: 'Reeds', natural: '#6d8a3c' },
  { drawn: 'bulrush heads', name: 'Bulrush heads', natural: '#6b4226' },
];

/** The colour that marks a thing in its page's key: far enough apart that no two are confused; black where nothing is named. */
export function markOf(things: readonly { drawn: string }[], drawn: string): string {
  const i = things.findIndex((thing) => thing.drawn === drawn);
  if (i < 0) return '#000000';
  return '#' + [i + 1, 255 - i, (i * 37) % 256].map((v) => v.toString(16).padStart(2, '0')).join('');
}
