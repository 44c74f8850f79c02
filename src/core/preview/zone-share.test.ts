import { expect } from 'chai';
import fc from 'fast-check';
import { FIELDS, type PageFields } from '../light/index.ts';
import { type Zone, shareInZone } from '../recipe/index.ts';
import { zoneShare } from './index.ts';

const field = fc.constantFrom('tone' as const, 'glow' as const, 'along' as const, 'lit' as const);
const interval = fc.tuple(fc.double({ min: 0, max: 0.8, noNaN: true }), fc.double({ min: 0.1, max: 0.2, noNaN: true }));
const span = fc
  .tuple(field, interval, fc.integer({ min: 0, max: 3 }))
  .map(([name, [from, wide], softnessMm]) => ({ field: name, from, to: from + wide, softnessMm, overMm: 12 }));

describe('how much of a layer arrives at a pixel', () => {
  it('is what the fields say there, alone and in two at once', () => {
    const values = Uint8Array.from({ length: 256 }, (_, i) => i);
    const turned = values.map((value) => 255 - value);
    const fields = Object.fromEntries(
      FIELDS.map((name) => [name, name === 'along' ? turned : values]),
    ) as unknown as PageFields;
    fc.assert(
      fc.property(span, fc.option(span, { nil: undefined }), fc.nat(255), (own, and, pixel) => {
        const zone: Zone = and ? { ...own, and } : own;
        const place = Object.fromEntries(FIELDS.map((name) => [name, { value: fields[name][pixel] / 255, source: 0 }]));
        expect(zoneShare(zone, fields)(pixel)).to.be.closeTo(shareInZone(zone, place), 1e-6);
      }),
    );
  });
});
