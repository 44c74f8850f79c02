import { type PageFields } from '../light/index.ts';
import { type Zone, sharesOfValues } from '../recipe/index.ts';

/** How much of a layer's pressure arrives at each pixel of a page, 0..1. */
export function zoneShare(zone: Zone, fields: PageFields): (pixel: number) => number {
  const own = sharesOfValues(zone);
  const first = fields[zone.field];
  if (!zone.and) return (i) => own[first[i]!]!;
  const other = sharesOfValues(zone.and);
  const second = fields[zone.and.field];
  return (i) => own[first[i]!]! * other[second[i]!]!;
}
