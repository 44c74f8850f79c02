import { expect } from 'chai';
import { hueOfWheel, labOfOklch } from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { familyOf } from '../recipe/index.ts';
import { onPaper } from '../tray/index.ts';
import { likeParts } from './like-parts.ts';
import { type PageThing, proposePalettes } from './index.ts';
import { pageThing } from './test/page-thing.ts';

const tray = onPaper(
  Array.from({ length: 12 }, (_, i) => [0.35, 0.6, 0.85].map((l) => ({ l, c: 0.11, h: hueOfWheel(30 * i) })))
    .flat()
    .map((oklch, i) => ({ id: `pencil-${i}`, code: `T${i}`, masstone: labOfOklch(oklch), type: 'wax' })),
  whiteBook,
);
const thing = (name: string, more: Partial<PageThing> = {}) => pageThing(name, { areaMm2: 300, ...more });
const things = [
  thing('wall', { areaMm2: 4000 }),
  thing('Left sconce', { alike: 'a', at: { x: 0.1, y: 0.4 } }),
  thing('Right sconce', { alike: 'a', at: { x: 0.9, y: 0.4 } }),
  thing('3 strips, top (2)', { alike: 'b', areaMm2: 40 }),
  thing('3 strips, bottom (6)', { alike: 'b', areaMm2: 40 }),
  thing('buoy', { alike: 'a' }),
];

describe('like parts', () => {
  it('are those of one shape and nature that are called the same but for their side or number', () => {
    expect(likeParts(things)).to.deep.equal([
      [1, 2],
      [3, 4],
    ]);
    expect(likeParts(things.map((each, i) => (i === 2 ? { ...each, kind: 'gold' } : each)))).to.deep.equal([[3, 4]]);
  });

  it('get the same family in every proposal, and follow one that somebody decided on', async () => {
    const page = { things, borders: [] };
    const wishes = { scheme: 'triad', anchor: 60 } as const;
    const pinned = { 'Right sconce': familyOf(['pencil-3', 'pencil-4', 'pencil-5']) };
    for (const pins of [undefined, pinned]) {
      const proposals = await proposePalettes(page, tray, whiteBook, { ...wishes, pinned: pins }, { moves: 3000 });
      for (const { parts } of proposals) {
        const familyFor = (id: string) => parts.find(({ thingId }) => thingId === id)!.family;
        expect(familyFor('3 strips, top (2)')).to.deep.equal(familyFor('3 strips, bottom (6)'));
        expect(familyFor('Left sconce')).to.deep.equal(familyFor('Right sconce'));
        if (pins) expect(familyFor('Right sconce')!.pencils).to.deep.equal(pinned['Right sconce'].pencils);
      }
    }
  });
});
