import { expect } from 'chai';
import fc from 'fast-check';
import {
  type FormedThing,
  MOST_SOURCES,
  mirroredAt,
  pageFields,
  reflectivity,
  sourcesOf,
  valueAtStep,
} from './index.ts';
import { at, drawn, labelAt, soft, thing } from './test/drawn-page.ts';

/** A row of three squares of 100 px, 10 px a mm: a wall, a kettle, a post. */
const row = () =>
  drawn(340, 140, (x, y) => y < 20 || y > 120 || [18, 122, 226, 330].some((line) => Math.abs(x - line) < 2));
/** Land above water: a square over the same square below, with a line between. */
const shore = () =>
  drawn(
    240,
    240,
    (x, y) => x < 20 || x > 220 || y < 20 || y > 220 || Math.abs(y - 120) < 2 || (y < 120 && Math.abs(x - 120) < 2),
  );
const weighing = (own: FormedThing, sources: FormedThing['sources']) => ({ ...own, sources });
const strengthAt = (value: number) => valueAtStep('reflect', value, 256);

describe('whose colours a thing shows', () => {
  it('are its neighbours’, the longest border first, for what is shiny, white or wet; and the sky’s', async () => {
    const page = await row();
    const [wall, kettle, post] = [70, 170, 270].map((x) => labelAt(page, x, 70));
    const things = [
      thing('kettle', [kettle], 'ball', 'silver'),
      thing('post', [post], 'tube', 'wood'),
      thing('wall', [wall], 'flat', 'stone'),
      thing('sky', [], 'fades-down', 'sky'),
    ];
    const sources = sourcesOf(things, page, {});
    expect([...sources.keys()]).to.deep.equal(['kettle']);
    expect(sources.get('kettle')!.map(({ thingId }) => thingId)).to.have.members(['wall', 'post', 'sky']);
    for (const { weight } of sources.get('kettle')!) expect(weight).to.be.within(0.1, reflectivity('silver'));
    expect(reflectivity('wood')).to.equal(0);
    expect(reflectivity(null)).to.equal(0);
  });

  it('are in water those of what stands above its line, and no more than four', async () => {
    const page = await shore();
    const [left, right, water] = [labelAt(page, 70, 70), labelAt(page, 170, 70), labelAt(page, 120, 180)];
    const things = [thing('hut', [left]), thing('boat', [right]), thing('water', [water], 'fades-up', 'water')];
    const shown = (line: number | null) => sourcesOf(things, page, { waterLineMm: line }).get('water') ?? [];
    expect(shown(12).map(({ thingId }) => thingId)).to.have.members(['hut', 'boat']);
    const crowd = Array.from({ length: 7 }, (_, k) => thing(`t${k}`, [left + 100 * k]));
    expect(sourcesOf([...crowd, things[2]], page, { waterLineMm: 12 }).get('water')!.length).to.be.at.most(
      MOST_SOURCES,
    );
  });
});

describe('a neighbour’s colour', () => {
  it('arrives most beside it and on the side that faces it, less with the way, and never more than all of it', async () => {
    const page = await row();
    const [wall, kettle, post] = [70, 170, 270].map((x) => labelAt(page, x, 70));
    const things = [
      weighing(thing('kettle', [kettle], 'ball', 'silver'), [
        { thingId: 'wall', weight: 0.9 },
        { thingId: 'post', weight: 0.9 },
      ]),
      thing('wall', [wall]),
      thing('post', [post]),
    ];
    const { reflect } = pageFields(page, things, soft);
    const on = (x: number) => strengthAt(at(page, reflect, x, 70));
    expect(on(132)).to.deep.include({ source: 0 });
    expect(on(212)).to.deep.include({ source: 1 });
    expect(on(130).value).to.be.above(on(150).value);
    expect(on(150).value).to.be.above(on(168).value - 0.02);
    // What is dull shows nothing.
    expect(strengthAt(at(page, reflect, 70, 70)).value).to.equal(0);
    for (const value of reflect) expect(strengthAt(value).value).to.be.within(0, 0.9 + 0.02);
  });
});

describe('still water', () => {
  it('repeats what stands above its line exactly, upside down, and nothing above it', async () => {
    const page = await shore();
    const [left, right, water] = [labelAt(page, 70, 70), labelAt(page, 170, 70), labelAt(page, 120, 180)];
    const things = [
      thing('hut', [left]),
      thing('boat', [right]),
      weighing(thing('water', [water], 'fades-up', 'water'), [
        { thingId: 'hut', weight: 1 },
        { thingId: 'boat', weight: 1 },
      ]),
    ];
    const { reflect } = pageFields(page, things, { ...soft, waterLineMm: 12 });
    for (let y = 126; y < 216; y += 6) {
      for (let x = 26; x < 216; x += 6) {
        if (Math.abs(x - 120) < 6) continue;
        const over = labelAt(page, x, 239 - y);
        const { value, source } = strengthAt(at(page, reflect, x, y));
        expect(value, `${x}, ${y}`).to.be.above(0.3);
        expect(source, `${x}, ${y}`).to.equal(over === left ? 0 : 1);
      }
    }
  });

  it('is a mirror: what is seen at a place is seen from there again, ripples or none', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 500 }),
        fc.integer({ min: 100, max: 400 }),
        fc.nat(200),
        (x, line, down) => {
          const y = line + down;
          const above = mirroredAt({ x, y }, line, 0);
          expect(above).to.deep.equal({ x, y: line - down - 1 });
          expect(mirroredAt(above, line, 0).y).to.equal(y);
          const rippled = mirroredAt({ x, y }, line, 10);
          expect(rippled.y).to.equal(above.y);
          expect(Math.abs(rippled.x - x)).to.be.at.most(12.001);
        },
      ),
    );
  });
});

describe('fields of place and turning', () => {
  it('run from the top of a thing to its foot, from its middle outwards, and from the far side to the light’s', async () => {
    const page = await row();
    const own = thing('kettle', [labelAt(page, 170, 70)], 'ball');
    const { along, out, turn } = pageFields(page, [own], {
      main: { kind: 'direction', azimuthDegrees: 180, heightDegrees: 45 },
      glows: [],
    });
    expect(at(page, along, 170, 30)).to.be.below(at(page, along, 170, 70));
    expect(at(page, along, 170, 70)).to.be.below(at(page, along, 170, 110));
    expect(at(page, along, 170, 112)).to.be.above(220);
    expect(at(page, out, 170, 70)).to.be.below(24);
    expect(at(page, out, 130, 70)).to.be.above(180);
    // The light comes from the left.
    expect(at(page, turn, 130, 70)).to.be.above(200);
    expect(at(page, turn, 212, 70)).to.be.below(60);
    const flat = pageFields(page, [{ ...own, form: 'flat' }], soft).turn;
    expect(at(page, flat, 170, 70)).to.be.within(126, 129);
  });
});
