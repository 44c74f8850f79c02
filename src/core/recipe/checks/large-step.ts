import { deltaE2000 } from '../../colour/index.ts';
import { POINT_MM } from '../strokes.ts';
import { shareInZone } from '../zone.ts';
import { type Check, nameOf } from './check.ts';

/** Largest CIEDE2000 between neighbouring values, a twentieth of the way apart, that still reads as a passage. */
const SEEN = 18;
/** So much of a layer ends or begins between two places where its edge lies there. */
const PART_OF_LAYER = 0.1;
/** Edges up to this, mm, are meant to be hard. */
const HARD_MM = 0.15;

/** A soft passage that jumps shows a line where none is meant. */
export const largeStep: Check = {
  id: 'large-step',
  title: 'A line will show in the passage.',
  find({ recipe: { layers }, places, row }) {
    let worst = { step: 0, at: 0 };
    for (let i = 1; i < places.length; i++) {
      if (i % row === 0) continue;
      const [a, b] = [places[i - 1]!, places[i]!];
      const step = deltaE2000(a.lab, b.lab);
      // Over less than half of a sharp point no hand can fade.
      if (layers[0]!.zone.overMm / (row - 1) < POINT_MM.sharp / 2) continue;
      // An edge that is hard, or a highlight, is on purpose.
      const hard = layers.some(({ zone }) => {
        const meant = zone.softnessMm <= HARD_MM || zone.hardTo || zone.and?.hardTo;
        return meant && Math.abs(shareInZone(zone, a.place) - shareInZone(zone, b.place)) > PART_OF_LAYER;
      });
      if (step > worst.step && !hard) worst = { step, at: i };
    }
    if (worst.step < SEEN) return null;
    const [a, b] = [places[worst.at - 1]!, places[worst.at]!];
    const edge = layers.find((_, k) => a.layers.includes(k) !== b.layers.includes(k)) ?? layers[b.layers.at(-1) ?? 0]!;
    const softnessMm = Math.round(20 * Math.max(edge.zone.softnessMm, 0.2)) / 10;
    return {
      sentence: `Over a twentieth of the way it changes by ${worst.step.toFixed(0)} colour difference, at the edge of ${nameOf(layers, edge)}.`,
      remedy: `Let ${nameOf(layers, edge)} fade over ${softnessMm} mm.`,
      change: { layers: { [edge.id]: { softnessMm } } },
    };
  },
};
