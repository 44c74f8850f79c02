import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import sharp from 'sharp';
import { type PageIndex, findRegions } from '../../core/lineart/index.ts';
import { proposeThings, readPage } from '../../core/things/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { DRAWN, type Truth } from '../../fixtures/index.ts';
import { DEMO_PAGES, type DemoPage, markOf } from './index.ts';

const sheet = (name: string) => new URL(`../sheets/${name}`, import.meta.url);
const truthOf = ({ id }: DemoPage) => JSON.parse(readFileSync(sheet(`${id}.truth.json`), 'utf8')) as Truth;

/** How many regions each sheet of the booklet may have. */
const COUNTS: Record<string, [least: number, most: number]> = {
  'ferry-steps': [350, 600],
  'tide-clock': [500, 900],
  'marsh-hare': [160, 240],
  'kite-loft': [120, 205],
};

describe('the booklet', () => {
  it('has four sheets in the sizes and on the papers that they are printed on', () => {
    expect(DEMO_PAGES.map(({ title, widthMm, heightMm, paper }) => [title, widthMm, heightMm, paper])).to.deep.equal([
      ['The Ferry Steps', 210, 210, 'white-book'],
      ['The Tide Clock', 210, 297, 'cream-sheet'],
      ['Marsh Hare under the Pier Lamp', 148, 210, 'toothed-white'],
      ['Kite Loft', 210, 148, 'toned-grey-card'],
    ]);
    for (const { paper } of DEMO_PAGES) expect(paperById(paper).id).to.equal(paper);
  });
});

for (const page of DEMO_PAGES) {
  describe(page.title, () => {
    const truth = truthOf(page);
    const all = truth.things.flatMap(({ name, regions }) => regions.map((region) => ({ name, ...region })));

    it('is drawn the same every time, as it lies in the project', () => {
      expect(DRAWN[page.id]().toSvg(page.title)).to.equal(readFileSync(sheet(`${page.id}.svg`), 'utf8'));
    });

    it('has as many regions as its booklet says, each in one thing', () => {
      const [least, most] = COUNTS[page.id];
      expect(truth.regions).to.be.within(least, most);
      expect(all.length).to.equal(truth.regions);
      expect(truth.things.filter(({ regions }) => regions.length === 0).map(({ name }) => name)).to.deep.equal([]);
    });

    it('knows of every thing how deep it lies, how it turns and what the eye should go to', () => {
      expect(truth.things.map(({ depth }) => depth)).to.deep.equal(page.things.map((_, i) => i));
      expect(truth.things.map(({ form }) => form)).to.deep.equal(page.things.map(({ form }) => form));
      expect(truth.things.filter(({ focus }) => focus).length).to.equal(1);
      for (const { natural } of truth.things) if (natural) expect(natural).to.match(/^#[0-9a-f]{6}$/);
      const marks = page.things.map(({ name }) => markOf(page, name.toLowerCase()));
      expect(new Set([...marks, '#000000']).size).to.equal(marks.length + 1);
    });

    it('is drawn back to front in the order that its truth tells', () => {
      const drawn = DRAWN[page.id]().things();
      const names = page.things.map(({ name }) => name.toLowerCase());
      expect([...drawn].sort()).to.deep.equal([...names].sort());
    });

    it('is closed wherever the truth says so: each such region is found, and found alone', async () => {
      const map = await regionsOf(page);
      const found = all.map((region) => ({ region, id: idAt(map, region.at.x, region.at.y) }));
      const met = new Map<number, number>();
      for (const { id } of found) met.set(id, (met.get(id) ?? 0) + 1);
      const lost = found.filter(({ region, id }) => region.closed && (id === 0 || met.get(id) !== 1));
      expect(lost.map(({ region }) => `${region.name} at ${region.at.x}, ${region.at.y}`)).to.deep.equal([]);
    });

    it('has its regions gathered by guesses of which nearly all keep to one thing', async () => {
      const map = await regionsOf(page);
      const { guesses } = proposeThings(await readPage(map));
      const guessOf = new Map(guesses.flatMap(({ regionIds }, k) => regionIds.map((id) => [id, k] as const)));
      const areas = guesses.map(() => new Map<string, number>());
      for (const { name, at, areaMm2 } of all) {
        const own = areas[guessOf.get(idAt(map, at.x, at.y)) ?? -1];
        own?.set(name, (own.get(name) ?? 0) + areaMm2);
      }
      const sum = (values: Iterable<number>) => [...values].reduce((a, b) => a + b, 0);
      const kept = sum(areas.map((own) => Math.max(0, ...own.values())));
      expect(kept / sum(areas.map((own) => sum(own.values())))).to.be.above(0.88);
      expect(guesses.length).to.be.below(0.55 * map.regions.length);
    });

    it('leaks only at the gaps that were left on purpose', () => {
      const open = all.filter(({ closed }) => !closed);
      if (truth.gaps.length === 0) return expect(open).to.deep.equal([]);
      for (const gap of truth.gaps) expect(gap.mm).to.be.within(0.2, 1);
      return expect(open.length).to.be.within(1, 2 * truth.gaps.length);
    });
  });
}

async function regionsOf(page: DemoPage): Promise<PageIndex> {
  const { data, info } = await sharp(readFileSync(sheet(`${page.id}.png`)))
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true });
  const grey = { width: info.width, height: info.height, data: new Uint8Array(data) };
  return findRegions(grey, { pixelsPerMm: info.width / page.widthMm });
}

function idAt({ labels, width, pixelsPerMm, regions }: PageIndex, x: number, y: number): number {
  const label = labels[Math.floor(y * pixelsPerMm) * width + Math.floor(x * pixelsPerMm)];
  return label <= regions.length ? label : 0;
}
