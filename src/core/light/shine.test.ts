import { expect } from 'chai';
import { at, bar, disc, drawn, from, labelAt, soft, thing } from './test/drawn-page.ts';
import { FINISHES, MATERIALS, finishById, lightOfPage, pageFields } from './index.ts';

const upperLeft = { main: from(225, 45), glows: [] };
const metals = MATERIALS.filter(({ finish }) => finish);

/** The tone of a disc from its far rim to the rim that is nearest the light. */
async function acrossBall(material: string | null, finish?: string) {
  const page = await disc();
  const { tone } = pageFields(page, [{ ...thing('ball', [1], 'ball', material), finish }], upperLeft);
  const step = Math.SQRT1_2;
  return Array.from({ length: 186 }, (_, k) =>
    at(page, tone, Math.round(140 + (93 - k) * step), Math.round(140 + (93 - k) * step)),
  );
}

describe('the shine of metal', () => {
  it('alternates hard by the turning of the form when polished, and softly when satin', async () => {
    const jumps = (row: number[]) => Math.max(...row.slice(1).map((value, k) => Math.abs(value - row[k])));
    const polished = await acrossBall('gold');
    const satin = await acrossBall('gold', 'satin');
    expect(jumps(satin)).to.be.below(14);
    expect(jumps(polished)).to.be.above(3 * jumps(satin));
    expect(jumps(await acrossBall('other'))).to.be.below(14);
  });

  it('is white in a small part that does not touch the edge, with near black before the rim', async () => {
    for (const { id } of metals) {
      const row = await acrossBall(id);
      const white = row.flatMap((value, k) => (value > 240 ? [k] : []));
      expect(white.length, id).to.be.within(10, 50);
      expect(Math.max(...white), id).to.be.below(row.length - 15);
      expect(Math.min(...row.slice(Math.max(...white))), id).to.be.below(30);
    }
  });

  it('runs in streaks along a tube, and its white in several highlights that do not reach the ends', async () => {
    const page = await bar(false);
    const { tone } = pageFields(page, [thing('pole', [1], 'tube', 'silver')], { main: from(270, 45), glows: [] });
    let white = 0;
    for (let y = 166; y < 236; y += 5) {
      const row = Array.from({ length: 240 }, (_, k) => at(page, tone, 80 + k, y));
      if (Math.max(...row) < 240) {
        expect(Math.max(...row) - Math.min(...row), `${y}`).to.be.below(12);
        continue;
      }
      white++;
      const begins = row.filter((value, k) => value >= 240 && (k === 0 || row[k - 1] < 240)).length;
      expect(begins, `${y}`).to.be.within(2, 5);
      expect(row.filter((value) => value >= 240).length / row.length).to.be.within(0.4, 0.75);
    }
    expect(white).to.be.above(0);
  });

  it('is one highlight in the middle of what is short', async () => {
    const page = await disc();
    const { tone } = pageFields(page, [thing('stud', [1], 'ball', 'gold')], upperLeft);
    // Along the crescent, across the light: white in its middle alone.
    const crescent = Array.from({ length: 120 }, (_, k) => (k - 60) / 60).map((turn) => {
      const angle = (225 + 70 * turn) * (Math.PI / 180);
      return Math.max(
        ...[0.4, 0.44, 0.48].map((r) =>
          at(page, tone, Math.round(140 + 93 * r * Math.cos(angle)), Math.round(140 + 93 * r * Math.sin(angle))),
        ),
      );
    });
    const begins = crescent.filter((value, k) => value >= 240 && (k === 0 || crescent[k - 1] < 240)).length;
    expect(begins).to.be.within(1, 3);
    expect(crescent[60]).to.be.at.least(240);
  });

  it('breaks into dents where it is hammered, each dark on one side and light on the other', async () => {
    const page = await disc();
    const { tone } = pageFields(page, [{ ...thing('pan', [1], 'ball', 'copper'), finish: 'hammered' }], upperLeft);
    // Within a dent's width anywhere in the middle there is both much darker and much lighter.
    const pitch = finishById('hammered').dentsMm! * page.pixelsPerMm;
    for (const [x, y] of [
      [120, 120],
      [150, 130],
      [130, 160],
    ]) {
      const near = Array.from({ length: 400 }, (_, k) =>
        at(page, tone, x + Math.round(((k % 20) / 20 - 0.5) * 2 * pitch), y + Math.round((k / 400 - 0.5) * 2 * pitch)),
      );
      expect(Math.max(...near) - Math.min(...near)).to.be.above(60);
    }
  });

  it('lies still where the metal lies flat, is dimmed by a cast shadow alone, and is not asked of an unknown finish', async () => {
    const page = await disc();
    const flat = (finish: string | null) =>
      pageFields(page, [{ ...thing('plate', [1], 'flat', 'gold'), finish }], upperLeft).tone;
    expect(flat('polished')).to.deep.equal(flat(null));
    expect(() => finishById('rusty')).to.throw(RangeError, 'no finish called "rusty"');
    for (const { profile } of FINISHES) {
      const turns = profile.map(([turn]) => turn);
      expect(turns).to.deep.equal([...turns].sort((a, b) => a - b));
      expect([turns[0], turns.at(-1)]).to.deep.equal([-1, 1]);
    }
  });
});

describe('a highlight', () => {
  const round = (reach: number) => drawn(280, 280, (x, y) => Math.abs(Math.hypot(x - 140, y - 140) - reach - 2) < 2);

  it('is on glass, gems and pearls a shape in mm with a hard edge', async () => {
    const page = await disc();
    for (const material of ['glass', 'gem', 'pearl']) {
      const { fields, highlights } = lightOfPage(page, [thing('drop', [1], 'ball', material)], upperLeft);
      expect(highlights).to.have.length(1);
      const [{ lengthMm, widthMm, edge, at: middle }] = highlights;
      expect(edge).to.equal('hard');
      const own = fields.tone.filter((_, i) => page.grown[i] === 1);
      const area = (Math.PI / 4) * lengthMm * widthMm * page.pixelsPerMm ** 2;
      expect(own.filter((value) => value === 255).length / area).to.be.closeTo(1, 0.08);
      expect(own.some((value) => value > 0.925 * 255 && value < 255)).to.equal(false);
      expect(middle.x).to.be.below(14);
      expect(middle.y).to.be.below(14);
    }
  });

  it('is soft on fur and skin: it fades into what lies round it', async () => {
    const page = await disc();
    const { fields, highlights } = lightOfPage(page, [thing('cheek', [1], 'ball', 'skin')], upperLeft);
    const [{ at: middle, edge, widthMm }] = highlights;
    expect(edge).to.equal('soft');
    const px = (mm: number) => Math.round(mm * page.pixelsPerMm);
    const row = Array.from({ length: px(widthMm) }, (_, k) => at(page, fields.tone, px(middle.x) + k, px(middle.y)));
    expect(Math.max(...row.slice(1).map((value, k) => Math.abs(value - row[k])))).to.be.below(10);
    expect(row[0]).to.equal(255);
  });

  it('is kept by the tiniest region, and grows with its region up to a few millimetres', async () => {
    const sizes: number[] = [];
    for (const reach of [8, 30, 100]) {
      const page = await round(reach);
      const { highlights } = lightOfPage(page, [thing('bead', [labelAt(page, 140, 140)], 'ball', 'pearl')], soft);
      expect(highlights, `${reach}`).to.have.length(1);
      sizes.push(highlights[0].widthMm);
    }
    expect(sizes[0]).to.be.within(0.3, 0.6);
    expect(sizes[1]).to.be.above(sizes[0]);
    expect(sizes[2]).to.be.within(sizes[1], 3);
  });

  it('lies along a tube, one for each region of its own', async () => {
    const page = await bar(false);
    const [{ lengthMm, widthMm, degrees }] = lightOfPage(page, [thing('neck', [1], 'tube', 'glass')], {
      main: from(270, 45),
      glows: [],
    }).highlights;
    expect(lengthMm / widthMm).to.be.above(3);
    expect(Math.abs(degrees) % 180).to.be.closeTo(0, 2);
  });

  it('is not there in dull things, before a light, in what glows, and on what lies flat', async () => {
    const page = await disc();
    const none = (form: string, material: string, lighting: Parameters<typeof lightOfPage>[2]) =>
      expect(lightOfPage(page, [thing('it', [1], form, material)], lighting).highlights).to.deep.equal([]);
    none('ball', 'stone', upperLeft);
    none('ball', 'gold', upperLeft);
    none('flat', 'glass', upperLeft);
    none('faceted', 'gem', upperLeft);
    none('ball', 'glass', { main: { kind: 'behind' }, glows: [] });
    none('ball', 'glass', { ...soft, glows: [{ thingId: 'it', at: null, reachMm: 10, strength: 1 }] });
  });
});
