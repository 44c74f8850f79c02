import { expect } from 'chai';
import { type Lab, deltaE2000, labOfHex } from '../../colour/index.ts';
import { seededRandom } from '../../random/index.ts';
import { CancelledError } from '../../run/index.ts';
import { LADDER_PATCHES, bareAfter, bareGround, layPasses, pencilOptics, pressOf, whiteBook } from '../index.ts';
import {
  type CardFit,
  type PaperFit,
  type PatchReading,
  type ReadPencil,
  declaredFit,
  fitCard,
  fitPencil,
  fittedOptics,
  fittedPaper,
  predictedPatch,
} from './index.ts';

const asDeclared = declaredFit(whiteBook);
const heavyHand: PaperFit = {
  ...asDeclared,
  rough: 0.9,
  stray: 0.8,
  tooth: 1.1,
  spread: 0.85,
  hand: { light: 1.4, medium: 1.2 },
  crush: 0.8,
  yuleNielsen: 2.2,
  slope: 0.4,
  tinted: 0.2,
};
const CARD: [PatchReading['patch'], PatchReading['on']][] = [
  ['light', 'paper'],
  ['medium', 'paper'],
  ['firm', 'paper'],
  ['full', 'paper'],
  ['firm', 'bar'],
];
const TRUE = [
  { colour: '#c8202f', laydown: 1.3, scatter: 1.5, fills: 1 },
  { colour: '#2b4fa3', laydown: 0.8, scatter: 0.7, fills: 1 },
  { colour: '#2c7f45', laydown: 1, scatter: 2, fills: 1 },
  { colour: '#f2c21d', laydown: 0.9, scatter: 1, fills: 1 },
  { colour: '#7a4a2b', laydown: 1.15, scatter: 3, fills: 1 },
  { colour: '#6a7681', laydown: 0.85, scatter: 1.2, fills: 1 },
];

/** A pencil laid by the layer model itself, read with noise. */
function readPencil(
  { colour, laydown, scatter, fills }: (typeof TRUE)[number],
  found: PaperFit,
  noise = 0,
): ReadPencil {
  const random = seededRandom(Math.round(1000 * laydown));
  const declared = { masstone: labOfHex(colour), type: 'oil', opacity: 0.25 };
  const optics = fittedOptics(declared, { laydown, scatter, fills, masstone: declared.masstone }, whiteBook, found);
  const readings = CARD.map(([patch, on]) => {
    const [l, a, b] = predictedPatch(optics, whiteBook, found, { patch, on });
    // A third of each channel's square makes a difference of `noise` in all.
    const off = () => (noise * (random() + random() + random() - 1.5) * 2) / Math.sqrt(3);
    return { patch, on, lab: [l + off(), a + off(), b + off()] as Lab };
  });
  return { declared, readings };
}

describe('fitting a pencil to its swatches', () => {
  it('finds how much it lays, and what it scatters, from readings without noise', () => {
    for (const truth of TRUE) {
      const fit = fitPencil(whiteBook, asDeclared, readPencil(truth, asDeclared));
      expect(fit.laydown, truth.colour).to.be.closeTo(truth.laydown, 0.06 * truth.laydown);
      expect(fit.apart, truth.colour).to.be.below(0.4);
    }
  });

  it('with a reading noise of 1 finds laydown within 10% for most, and what is left over tells the noise', () => {
    const fits = TRUE.map((truth) => ({
      truth,
      fit: fitPencil(whiteBook, asDeclared, readPencil(truth, asDeclared, 1)),
    }));
    const off = fits.map(({ truth, fit }) => Math.abs(fit.laydown / truth.laydown - 1)).sort((a, b) => a - b);
    expect(off[off.length >> 1]).to.be.below(0.1);
    for (const { fit } of fits) expect(fit.apart).to.be.within(0.1, 3);
  });

  it('cannot be defeated by a barrel that misleads: the full patch says what it is', () => {
    const honest = readPencil(TRUE[0], asDeclared);
    const lying = { ...honest, declared: { ...honest.declared, masstone: labOfHex('#2b4fa3') } };
    const fit = fitPencil(whiteBook, asDeclared, lying);
    expect(deltaE2000(fit.masstone, labOfHex('#c8202f'))).to.be.below(1.5);
  });

  it('points at a patch that went wrong', () => {
    const pencil = readPencil(TRUE[1], asDeclared);
    const readings = pencil.readings.map((reading) =>
      reading.patch === 'medium' ? { ...reading, lab: [90, -20, 40] as Lab } : reading,
    );
    const { doubtful } = fitPencil(whiteBook, asDeclared, { ...pencil, readings });
    expect(doubtful.map(({ patch }) => patch)).to.include('medium');
  });

  it('needs a full patch and two more', () => {
    const { declared, readings } = readPencil(TRUE[0], asDeclared);
    const few = { declared, readings: readings.slice(0, 2) };
    expect(() => fitPencil(whiteBook, asDeclared, few)).to.throw(RangeError, 'full patch');
  });
});

describe('fitting a swatch card', () => {
  const pencils = TRUE.map((truth) => readPencil(truth, heavyHand));
  const trueOptics = TRUE.map(({ laydown, scatter, fills }, i) =>
    fittedOptics(
      pencils[i].declared,
      { laydown, scatter, fills, masstone: pencils[i].declared.masstone },
      whiteBook,
      heavyHand,
    ),
  );
  const overlayOf = (below: number, above: number, by: typeof trueOptics, found: PaperFit): Lab =>
    layPasses(
      bareGround(fittedPaper(whiteBook, found)),
      [below, above].map((i) => ({ pencil: by[i], pressure: 'medium' as const })),
    ).lab;
  const overlays = TRUE.map((_, i) => {
    const above = (i + 1) % TRUE.length;
    return { below: i, above, lab: overlayOf(i, above, trueOptics, heavyHand) };
  });

  let fit: CardFit;
  before(async () => (fit = await fitCard(whiteBook, pencils, overlays)));

  it('finds this hand and paper with the pencils, so that overlays never read are foretold within 1', () => {
    const optics = pencils.map(({ declared }, i) => fittedOptics(declared, fit.pencils[i]!, whiteBook, fit.paper));
    const off = TRUE.flatMap((_, below) =>
      TRUE.flatMap((__, above) =>
        above === below || above === (below + 1) % TRUE.length
          ? []
          : [deltaE2000(overlayOf(below, above, optics, fit.paper), overlayOf(below, above, trueOptics, heavyHand))],
      ),
    );
    expect(off.sort((a, b) => a - b)[off.length >> 1]).to.be.below(1);
  });

  it('comes nearer than what is declared does', () => {
    const declared = pencils.map(({ declared: own }) => pencilOptics(own));
    pencils.forEach(({ readings }, i) => {
      const medium = readings.find(({ patch }) => patch === 'medium')!;
      const before = deltaE2000(predictedPatch(declared[i], whiteBook, asDeclared, medium), medium.lab);
      expect(fit.pencils[i]!.apart).to.be.below(Math.max(1, before));
    });
  });

  it('never finds a lighter press to be harder than a firmer one, and a whisper is as the light press is', () => {
    const { hand } = fit.paper;
    const pressed = (['light', 'medium', 'firm'] as const).map((name) => pressOf(name, hand));
    expect(pressed).to.deep.equal([...pressed].sort((a, b) => a - b));
    expect(hand.whisper).to.equal(hand.light);
  });

  it('says which numbers lie at the end of what is sought', async () => {
    const feather = { ...asDeclared, hand: { light: 0.06, medium: 0.9, firm: 1 } };
    const card = TRUE.slice(0, 3).map((truth) => readPencil(truth, feather));
    const { paper } = await fitCard(whiteBook, card);
    expect(paper.atBound).to.include('light');
    expect(fit.paper.atBound).to.not.include('light');
  });

  it('finds how paper fills from light patches laid over themselves', async () => {
    const slow = { ...asDeclared, stray: 0.4, hand: { light: 0.8 } };
    const laidOver = TRUE.map((truth, i) => {
      const pencil = readPencil(truth, slow);
      const declared = { masstone: pencil.declared.masstone, type: 'oil', opacity: 0.25 };
      const optics = fittedOptics(declared, { ...truth, masstone: declared.masstone }, whiteBook, slow);
      const over = LADDER_PATCHES.map((patch) => {
        const on = 'paper' as const;
        return { patch, on, lab: predictedPatch(optics, whiteBook, slow, { patch, on }) };
      });
      return i % 2 === 0 ? { ...pencil, readings: [...pencil.readings, ...over] } : pencil;
    });
    const { paper } = await fitCard(whiteBook, laidOver);
    const bare = (found: PaperFit, passes: number) => bareAfter(fittedPaper(whiteBook, found), 'light', passes, 'oil');
    for (const passes of [2, 4, 6]) expect(bare(paper, passes)).to.be.closeTo(bare(slow, passes), 0.03);
  });

  it('leaves out pencils that were not read enough, and refuses a card on which none was', async () => {
    const few = { ...pencils[0], readings: pencils[0].readings.slice(0, 1) };
    const some = await fitCard(whiteBook, [few, pencils[1]]);
    expect(some.pencils.map((pencil) => pencil === null)).to.deep.equal([true, false]);
    const error = await fitCard(whiteBook, [few]).catch((e: unknown) => e);
    expect((error as Error).message).to.match(/nothing can be fitted/);
  });

  it('says how far it is, and stops when it is told to', async () => {
    const heard: number[] = [];
    const run = {
      cancelled: () => heard.length >= 3,
      now: () => performance.now(),
      progress: (share: number) => void heard.push(share),
    };
    const error = await fitCard(whiteBook, pencils, overlays, run).catch((e: unknown) => e);
    expect(error).to.be.instanceOf(CancelledError);
    expect(heard).to.deep.equal([...heard].sort((a, b) => a - b));
  });
});
