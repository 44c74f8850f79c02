import type { Pencil } from '../../contracts/index.ts';
import { labOfHex, oklchOfLab, wheelOfHue } from '../../core/colour/index.ts';

/** Orders in which a tray is laid out. */
export type Order = 'own' | 'hue' | 'value' | 'set';

export const ORDERS: readonly { value: Order; label: string }[] = [
  { value: 'own', label: 'in their own order' },
  { value: 'hue', label: 'round the wheel' },
  { value: 'value', label: 'from dark to pale' },
  { value: 'set', label: 'set by set, dark to pale' },
];

/** Below this OKLCH chroma a pencil has no place on the wheel and lies behind those that have. */
const GREY = 0.022;
/** Hues are laid in steps of so many degrees of the painter's wheel, each from dark to pale. */
const STEP = 30;

/** Pencils in the order asked for; what is equal stays as it was. */
export function inOrder(pencils: readonly Pencil[], order: Order): Pencil[] {
  if (order === 'own') return [...pencils];
  const keyed = pencils.map((pencil) => ({ pencil, keys: keysOf(pencil, order) }));
  return keyed
    .sort((p, q) => {
      const at = p.keys.findIndex((key, i) => key !== q.keys[i]);
      if (at < 0) return 0;
      return p.keys[at]! < q.keys[at]! ? -1 : 1;
    })
    .map(({ pencil }) => pencil);
}

function keysOf({ colour, set }: Pencil, order: Exclude<Order, 'own'>): readonly (string | number)[] {
  const lab = labOfHex(colour);
  if (order === 'value') return [lab[0]];
  if (order === 'set') return [set, lab[0]];
  const { c, h } = oklchOfLab(lab);
  return [c < GREY ? 12 : Math.round(wheelOfHue(h) / STEP) % 12, lab[0]];
}
