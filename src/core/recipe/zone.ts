import { LRUCache } from 'lru-cache';
import { type Field, type FieldValue, valueAtStep } from '../light/index.ts';
import type { Layer, Span, Zone } from './schemas.ts';

/** A hard edge takes this share of the way from one end of a field to the other. */
const HARD = 0.02;

/** What a place has of each field; where one is not told the layers there are those of a place without light or neighbours. */
export type FieldValues = Partial<Record<Field, FieldValue>>;

const UNTOLD: Readonly<Record<Field, number>> = {
  tone: 0.5,
  glow: 0,
  lit: 0,
  shadow: 0,
  along: 0.5,
  out: 0.5,
  turn: 0.5,
  reflect: 0,
};

/**
 * How much of a layer's pressure arrives at a place, 0..1: full inside its zone, fading smoothly to nothing around
 * each edge, so that two zones that share an edge overlap by the softness.
 */
export function shareInZone(zone: Zone, place: FieldValues): number {
  const share = shareInSpan(zone, valueOf(zone, place));
  return zone.and && share > 0 ? share * shareInSpan(zone.and, valueOf(zone.and, place)) : share;
}

function valueOf({ field, source = 0 }: Span, place: FieldValues): FieldValue {
  return place[field] ?? { value: UNTOLD[field], source };
}

/** The same for one interval, by the value of its field. */
export function shareInSpan(span: Span, { value, source }: FieldValue): number {
  if (source !== (span.source ?? 0)) return 0;
  const soft = Math.min(0.5, Math.max(HARD, span.softnessMm / span.overMm));
  const rise = span.from <= 0 ? 1 : smooth((value - (span.from - soft / 2)) / soft);
  const last = span.hardTo ? HARD : soft;
  const fall = span.to >= 1 ? 1 : smooth((span.to + last / 2 - value) / last);
  return rise * fall;
}

function smooth(t: number): number {
  const c = Math.min(1, Math.max(0, t));
  return c * c * (3 - 2 * c);
}

/** Spans met so far: the same are looked at for every region and again after every change of a plan. */
const tables = new LRUCache<string, Float32Array>({ max: 2000 });

/** How much of a layer's pressure arrives at each of the 256 values of a span's field. Not to be written to. */
export function sharesOfValues(span: Span): Float32Array {
  const { field, from, to, softnessMm, overMm, hardTo = false, source = 0 } = span;
  const key = [field, from, to, softnessMm, overMm, hardTo, source].join();
  let shares = tables.get(key);
  if (!shares) {
    shares = Float32Array.from({ length: 256 }, (_, value) => shareInSpan(span, valueAtStep(field, value, 256)));
    tables.set(key, shares);
  }
  return shares;
}

/** Share of a shape that a zone takes, if all values of its fields are equally common. */
export function shareOfZone({ from, to, and }: Zone): number {
  return (to - from) * (and ? and.to - and.from : 1);
}

/** More fields than these cannot be looked at by one recipe: its look is worked out for every pair of their values. */
export const MOST_FIELDS = 2;

/**
 * The fields that layers look at, the tone first; the tone where there are no layers.
 * @throws RangeError for more than two
 */
export function fieldsOf(layers: readonly Pick<Layer, 'zone'>[]): Field[] {
  const fields = new Set(layers.flatMap(({ zone }) => [zone.field, ...(zone.and ? [zone.and.field] : [])]));
  if (fields.size > MOST_FIELDS) {
    throw new RangeError(
      `The layers of one thing can look at ${MOST_FIELDS} fields, not at ${[...fields].join(', ')}.`,
    );
  }
  if (fields.size === 0) return ['tone'];
  return fields.delete('tone') ? ['tone', ...fields] : [...fields];
}
