import { readdirSync, readFileSync } from 'node:fs';
import { expect } from 'chai';
import { NewSwatch } from '../../contracts/index.ts';
import { deltaE2000, labOfHex } from '../../core/colour/index.ts';
import {
  LADDER_PATCHES,
  SINGLE_PATCHES,
  bareGround,
  fitCard,
  fittedOptics,
  fittedPaper,
  layPasses,
  paperById,
  pencilOptics,
} from '../../core/laydown/index.ts';
import { demoPencils } from '../../demo/pencils/index.ts';
import { layOverlay, layPatch, made, madePaper, swatchCards } from './index.ts';

describe('the maker of the demo pencils', () => {
  const pencils = demoPencils();
  const white = madePaper('white-book');
  const cards = swatchCards(pencils);

  it('lays every patch on two papers, one over the black bar, and four pencils lightly over themselves', () => {
    expect(cards.length).to.equal(2 * (pencils.length * (SINGLE_PATCHES.length + 1) + 4 * LADDER_PATCHES.length));
    expect(new Set(cards.map(({ id }) => id)).size).to.equal(cards.length);
    for (const { pencilId: _pencil, ...card } of cards.slice(0, 50)) NewSwatch.parse(card);
  });

  it('makes the same pencil the same every time', () => {
    expect(swatchCards(pencils.slice(0, 3))).to.deep.equal(cards.slice(0, 30));
  });

  it('comes nearer to the declared colour the harder it is pressed', () => {
    for (const pencil of pencils) {
      const miss = SINGLE_PATCHES.map((patch) =>
        deltaE2000(layPatch(made(pencil), white, patch, 'paper'), labOfHex(pencil.colour)),
      );
      const far = deltaE2000(labOfHex(paperById('white-book').tint), labOfHex(pencil.colour));
      if (far < 12) continue;
      expect(miss[0], pencil.code).to.be.above(miss[2]);
      expect(miss[3], pencil.code).to.be.below(8);
    }
  });

  it('leaves more paper showing where it is rougher', () => {
    const smooth = { ...white, rough: 1 };
    const rough = { ...white, rough: 1.4 };
    for (const pencil of pencils.filter(({ colour }) => labOfHex(colour)[0] < 60)) {
      const l = (paper: typeof white) => layPatch(made(pencil), paper, 'medium', 'paper')[0];
      expect(l(rough), pencil.code).to.be.above(l(smooth) - 2);
    }
  });

  it('covers a black bar with covering pencils and not with translucent ones', () => {
    const lift = (type: string) => {
      const own = pencils.filter((pencil) => pencil.type === type && labOfHex(pencil.colour)[0] > 70);
      return own.reduce((sum, pencil) => sum + layPatch(made(pencil), white, 'firm', 'bar')[0], 0) / own.length;
    };
    expect(lift('pastel')).to.be.above(lift('oil') + 10);
  });

  it('is something else than the layer model, so that measuring has something to find out', () => {
    const paper = paperById('white-book');
    const misses = pencils.map(({ id, colour, type, opacity }) => {
      const optics = pencilOptics({ masstone: labOfHex(colour), type, opacity: opacity ?? undefined });
      const { lab } = layPasses(bareGround(paper), [{ pencil: optics, pressure: 'medium' }]);
      return deltaE2000(lab, layPatch(made({ id, colour, type, opacity }), white, 'medium', 'paper'));
    });
    const sorted = misses.sort((p, q) => p - q);
    expect(sorted[Math.floor(sorted.length / 2)], 'median difference').to.be.within(1.5, 15);
  });

  it('is foretold after fitting: overlays that were not on the card lie within 2 of what comes out, for half of them', async () => {
    const paper = paperById('white-book');
    const own = pencils.filter((_, i) => i % 15 === 0);
    const makers = own.map(made);
    const ring = (i: number) => (i + 1) % own.length;
    const readings = own.map(({ colour, type, opacity }, i) => ({
      declared: { masstone: labOfHex(colour), type, opacity: opacity ?? undefined },
      readings: [
        ...SINGLE_PATCHES.map((patch) => ({
          patch,
          on: 'paper' as const,
          lab: layPatch(makers[i], white, patch, 'paper'),
        })),
        { patch: 'firm' as const, on: 'bar' as const, lab: layPatch(makers[i], white, 'firm', 'bar') },
      ],
    }));
    const overlay = (below: number, above: number) =>
      layOverlay(
        [below, above].map((i) => ({ pencil: makers[i], patch: 'medium' as const })),
        white,
      );
    const read = own.map((_, i) => ({ below: i, above: ring(i), lab: overlay(i, ring(i)) }));
    const fit = await fitCard(paper, readings, read);
    const optics = readings.map(({ declared }, i) => fittedOptics(declared, fit.pencils[i]!, paper, fit.paper));
    const off = own.flatMap((_, below) =>
      own.flatMap((__, above) => {
        if (above === below || above === ring(below)) return [];
        const passes = [below, above].map((i) => ({ pencil: optics[i], pressure: 'medium' as const }));
        const { lab } = layPasses(bareGround(fittedPaper(paper, fit.paper)), passes);
        return [deltaE2000(lab, overlay(below, above))];
      }),
    );
    expect(off.sort((p, q) => p - q)[off.length >> 1]).to.be.below(2);
  });

  it('shares nothing with the layer model', () => {
    const source = readFileSync(new URL('hidden-maker.ts', import.meta.url), 'utf8');
    expect(source).to.not.match(/core\/laydown/);
    expect(readdirSync(new URL('../../core/', import.meta.url))).to.not.include('maker');
  });
});
