import { type Lab, deltasE2000 } from '../colour/index.ts';
import {
  type Paper,
  type PencilOptics,
  PRESSURES,
  type Pressure,
  bareGround,
  layPasses,
  pencilOptics,
} from '../laydown/index.ts';
import { type TrayPencil } from './on-paper.ts';

/** Every pencil of a tray at every pressure on one paper, packed so that hundreds are searched at once. */
export interface LaidTray {
  pencils: readonly TrayPencil[];
  optics: readonly PencilOptics[];
  paper: Paper;
  /** L*, a*, b* of each pencil in turn, one pass at each pressure. */
  labs: Readonly<Record<Pressure, Float64Array>>;
}

/** A pencil of a laid tray that comes near a colour. */
export interface Near {
  /** Place in the tray. */
  index: number;
  lab: Lab;
  /** CIEDE2000 to the wanted colour. */
  deltaE: number;
}

/**
 * Lays every pencil once at every pressure.
 * @param known optics already solved, by pencil id; what is missing is solved here and added (about half a ms a pencil)
 */
export function layTray(
  pencils: readonly TrayPencil[],
  paper: Paper,
  known: Map<string, PencilOptics> = new Map(),
): LaidTray {
  const optics = pencils.map((pencil) => {
    const solved = known.get(pencil.id) ?? pencilOptics(pencil);
    known.set(pencil.id, solved);
    return solved;
  });
  const ground = bareGround(paper);
  const laidAt = (pressure: Pressure) =>
    Float64Array.from(optics.flatMap((pencil) => layPasses(ground, [{ pencil, pressure }]).lab));
  const labs = Object.fromEntries(PRESSURES.map((pressure) => [pressure, laidAt(pressure)]));
  return { pencils, optics, paper, labs: labs as Record<Pressure, Float64Array> };
}

/**
 * The pencils whose one pass at a pressure comes nearest to a colour, nearest first.
 * @param limit how many at most
 */
export function nearestPencils(target: Lab, tray: LaidTray, pressure: Pressure, limit: number): Near[] {
  const labs = tray.labs[pressure];
  const differences = deltasE2000(target, labs);
  const nearest: number[] = [];
  for (let i = 0; i < differences.length; i++) {
    if (nearest.length === limit && differences[i]! >= differences[nearest[limit - 1]!]!) continue;
    let place = nearest.length;
    while (place > 0 && differences[nearest[place - 1]!]! > differences[i]!) place--;
    nearest.splice(place, 0, i);
    if (nearest.length > limit) nearest.pop();
  }
  return nearest.map((index) => ({ index, lab: labAt(labs, index), deltaE: differences[index]! }));
}

/**
 * The same over several pressures: each pencil once, at the pressure at which it comes nearest.
 * @param limit how many at most
 */
export function nearestAtBest(
  target: Lab,
  tray: LaidTray,
  pressures: readonly Pressure[],
  limit: number,
): (Near & { pressure: Pressure })[] {
  const best = new Map<number, Near & { pressure: Pressure }>();
  for (const pressure of pressures) {
    for (const near of nearestPencils(target, tray, pressure, limit)) {
      const before = best.get(near.index);
      if (!before || near.deltaE < before.deltaE) best.set(near.index, { ...near, pressure });
    }
  }
  return [...best.values()].sort((p, q) => p.deltaE - q.deltaE).slice(0, limit);
}

/** One colour of a packed list. */
export function labAt(labs: Float64Array, index: number): Lab {
  return [labs[3 * index]!, labs[3 * index + 1]!, labs[3 * index + 2]!];
}
