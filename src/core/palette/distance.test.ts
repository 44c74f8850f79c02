import { expect } from 'chai';
import fc from 'fast-check';
import { labOfOklch, oklchOfLab } from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { type TrayPencil, onPaper } from '../tray/index.ts';
import { proposePalettes } from './index.ts';
import { pageThing } from './test/page-thing.ts';
import { offDistance } from './distance.ts';

const tray = onPaper(
  [0.28, 0.4, 0.52, 0.64, 0.76, 0.88].flatMap((l) =>
    Array.from({ length: 20 }, (_, k): TrayPencil => ({
      id: `${l}-${k}`,
      code: `${k}`,
      masstone: labOfOklch({ l, c: k % 2 ? 0.13 : 0.05, h: 18 * k }),
      type: 'wax',
    })),
  ),
  whiteBook,
);
const thing = (id: string, far: number | null) => pageThing(id, { areaMm2: 900, widthMm: 12, far });
const names = ['bank', 'boat', 'quay', 'shed', 'trees', 'hills', 'ridge', 'peaks'];
const scene = { things: names.map((id, k) => thing(id, k / (names.length - 1))), borders: [] };
const solve = (distance: 'scene' | 'warm near' | 'none') =>
  proposePalettes(scene, tray, whiteBook, { anchor: 40, scheme: 'triad', distance }, { moves: 8000 });
const mean = (values: readonly number[]) => values.reduce((p, q) => p + q, 0) / values.length;

describe('distance in a palette', () => {
  it('has far things paler and quieter than near ones, in every proposal', async () => {
    for (const { parts } of await solve('scene')) {
      const looks = parts.map(({ body }) => oklchOfLab(body));
      expect(mean(looks.slice(5).map(({ l }) => l))).to.be.above(mean(looks.slice(0, 3).map(({ l }) => l)));
      expect(mean(looks.slice(5).map(({ c }) => c))).to.be.below(mean(looks.slice(0, 3).map(({ c }) => c)));
    }
  });

  it('tells how well near and far are told apart, and not where nobody wants it', async () => {
    const [best] = await solve('scene');
    expect(best.scores.find(({ id }) => id === 'distance')!.score).to.be.above(85);
    const [plain] = await solve('none');
    expect(plain.scores.some(({ id }) => id === 'distance')).to.equal(false);
  });

  it('has near things warm and far ones cool where that is wished', async () => {
    const warm = (h: number) => Math.cos(((h - 60) * Math.PI) / 180);
    const [best] = await solve('warm near');
    const turned = best.parts.map(({ body }) => warm(oklchOfLab(body).h));
    expect(mean(turned.slice(0, 3))).to.be.above(mean(turned.slice(5)) + 0.3);
  });

  it('never asks a far thing to be darker or clearer, nor a near one to be paler or duller', () => {
    const unit = fc.double({ min: 0, max: 1, noNaN: true });
    const look = (l: number, chroma: number, warm: number) => ({
      body: [100 * l, 0, 0] as const,
      chroma: 0.2 * chroma,
      warm,
    });
    fc.assert(
      fc.property(unit, unit, unit, unit, (l, chroma, warm, far) => {
        const own = offDistance(look(l, chroma, warm), far, 'scene');
        const [paler, duller] = [look(Math.min(1, l + 0.1), chroma, warm), look(l, 0.5 * chroma, warm)];
        const away = far > 0.5 ? 1 : -1;
        for (const other of [paler, duller])
          expect(away * (offDistance(other, far, 'scene') - own)).to.be.at.most(1e-9);
        expect(own).to.be.within(0, 1.6);
      }),
    );
  });
});
