import { expect } from 'chai';
import { FIELDS } from '../light/index.ts';
import { SCHOOLS, zoneMm, zoneWords } from './index.ts';

const toned = (from: number, to: number) => ({ field: 'tone' as const, from, to, softnessMm: 1, overMm: 4 });

describe('zones in words', () => {
  it('say where a layer goes', () => {
    expect(zoneWords(toned(0, 1))).to.equal('all over');
    expect(zoneWords(toned(0, 0.18))).to.equal('only the deepest shadow');
    expect(zoneWords(toned(0, 0.34))).to.equal('the shadow');
    expect(zoneWords(toned(0, 0.68))).to.equal('shadow and middle, not the light');
    expect(zoneWords(toned(0.25, 0.92))).to.equal('from the middle into the light, up to the highlight');
    expect(zoneWords(toned(0.1, 1))).to.equal('all but the deepest shadow');
  });

  it('have words for every layer of every school', () => {
    for (const { sketch } of SCHOOLS)
      for (const layer of sketch) expect(zoneWords(toned(layer.from, layer.to))).to.match(/^[a-z ,]+$/);
  });

  it('say where a glow, a height or a turning takes it, in millimetres of the shape', () => {
    const zone = (field: (typeof FIELDS)[number], from: number, to: number) => ({
      field,
      from,
      to,
      softnessMm: 1,
      overMm: 20,
    });
    expect(zoneWords(zone('glow', 0, 0.25))).to.equal('further than 15 mm from the light');
    expect(zoneWords(zone('glow', 0.25, 0.5))).to.equal('a ring from 10 mm to 15 mm round the light');
    expect(zoneWords(zone('along', 0, 0.25))).to.equal('down to 5.0 mm from the top');
    expect(zoneWords(zone('out', 0.5, 1))).to.equal('beyond 10 mm from the middle');
    expect(zoneWords(zone('turn', 0.7, 0.9))).to.equal('where it faces the light');
    expect(zoneWords({ ...zone('along', 0.5, 1), and: zone('glow', 0, 0.4) })).to.contain('; further than 12 mm');
    expect(zoneWords({ ...zone('along', 0, 1), and: zone('glow', 0.5, 1) })).to.equal('within 10 mm of the light');
    expect(zoneMm(zone('along', 0.25, 0.5))).to.equal('5.0 mm to 10 mm from “top”');
    for (const field of FIELDS) expect(zoneWords(zone(field, 0.4, 0.6))).to.match(/^[a-z]/);
  });
});
