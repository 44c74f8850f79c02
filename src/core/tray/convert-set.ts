import { type Pressure } from '../laydown/index.ts';
import { type Closeness, closenessOf, differenceInWords } from './closeness.ts';
import { type LaidTray, type Near, labAt, nearestPencils } from './laid-tray.ts';
import { type Layering, layeringsNear } from './layerings.ts';
import { opacityOf } from './on-paper.ts';

/** What stands in for one pencil in another set. */
export interface Conversion {
  /** Place of the pencil in its own set. */
  from: number;
  /** The nearest single pencil of the other set, or null where that is empty. */
  near: Near | null;
  closeness: Closeness;
  /** How the stand-in differs, in words. */
  differs: string;
  /** Two or three pencils that come clearly nearer than any single one. */
  layering: Layering | null;
}

/** Layerings are looked for where a single pencil stays farther off than this, and told where they halve it. */
const LOOK_FARTHER = 3;
const CLEARLY_NEARER = 0.6;

/**
 * Finds for every pencil of one set what comes nearest in another on the same paper.
 * @param pressure at which both are compared
 * @param each told of each conversion as it is found
 */
export function* convertSet(from: LaidTray, to: LaidTray, pressure: Pressure): Generator<Conversion> {
  for (let i = 0; i < from.pencils.length; i++) {
    const wanted = labAt(from.labs[pressure], i);
    const near = nearestPencils(wanted, to, pressure, 1).at(0) ?? null;
    const apart = near?.deltaE ?? Infinity;
    const [layering] = apart > LOOK_FARTHER && to.pencils.length > 1 ? layeringsNear(wanted, to, 1) : [];
    yield {
      from: i,
      near,
      closeness: closenessOf(apart),
      differs: near
        ? differenceInWords(near.lab, wanted, [opacityOf(to.pencils[near.index]!), opacityOf(from.pencils[i]!)])
        : '',
      layering: layering && layering.deltaE < CLEARLY_NEARER * apart ? layering : null,
    };
  }
}
