import { type Zone } from './layer.ts';

/** A hard edge takes this share of the way from shadow to highlight. */
const HARD = 0.02;

/**
 * How much of a layer's pressure arrives at a tone, 0..1: full inside its zone, fading smoothly to nothing around
 * each edge, so that two zones that share an edge overlap by the softness.
 * @param halfWidthMm distance over which the tone runs from 0 to 1, mm, above 0
 */
export function shareInZone(zone: Zone, tone: number, halfWidthMm: number): number {
  const soft = Math.min(0.5, Math.max(HARD, zone.softnessMm / halfWidthMm));
  const rise = zone.from <= 0 ? 1 : smooth((tone - (zone.from - soft / 2)) / soft);
  const last = zone.hardTo ? HARD : soft;
  const fall = zone.to >= 1 ? 1 : smooth((zone.to + last / 2 - tone) / last);
  return rise * fall;
}

function smooth(t: number): number {
  const c = Math.min(1, Math.max(0, t));
  return c * c * (3 - 2 * c);
}
