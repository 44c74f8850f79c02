import { expect } from 'chai';
import fc from 'fast-check';
import type { Pencil, TrayFit } from '../contracts/index.ts';
import { deltaE2000 } from '../core/colour/index.ts';
import {
  BELIEFS,
  LAYDOWN_MODEL,
  PAPERS,
  PENCIL_TYPES,
  PRESSURES,
  bareGround,
  layPasses,
  pencilOptics,
} from '../core/laydown/index.ts';
import { paperModelOf } from './index.ts';

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map((rgb) => `#${rgb.map((value) => value.toString(16).padStart(2, '0')).join('')}`);
const pencils = fc.array(
  fc.record({
    colour: hex,
    type: fc.constantFrom(...PENCIL_TYPES.map(({ id }) => id)),
    opacity: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
    leadMm: fc.option(fc.integer({ min: 0, max: 180 })),
  }),
  { minLength: 1, maxLength: 5 },
);
const factor = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
const found = fc.record({
  model: fc.constant(LAYDOWN_MODEL),
  atBound: fc.constant<TrayFit['fit']['atBound']>([]),
  rough: factor(0, 1.5),
  stray: factor(0.1, 2),
  tooth: factor(0.4, 2),
  spread: factor(0.5, 1.5),
  crush: factor(0.1, 2),
  yuleNielsen: factor(1, 6),
  slope: factor(-1.5, 2),
  tinted: factor(-0.5, 1.5),
  hand: fc.record({ light: factor(0.1, 2), medium: factor(0.1, 2), firm: factor(0.2, 1.2) }, { requiredKeys: [] }),
});
const pencilFit = fc.record({
  laydown: factor(0.3, 3),
  scatter: factor(0.2, 20),
  fills: factor(0.3, 3),
  masstone: fc.tuple(factor(25, 92), factor(-24, 24), factor(-24, 24)),
  apart: factor(0, 6),
});
/** Of pencils that lay enough, and scatter no more than any does, to come out dark. */
const pigmented = pencilFit.map((fit) => ({
  ...fit,
  laydown: Math.max(0.5, fit.laydown),
  scatter: Math.min(6, fit.scatter),
}));
const paperId = fc.constantFrom(...PAPERS.map(({ id }) => id));

describe('whatever swatches of a tray say', () => {
  const named = (some: { colour: string; type: string; opacity: number | null; leadMm: number | null }[]) =>
    some.map((pencil, i) => ({ ...pencil, id: `pencil-${i}`, code: `K${i}` }) as Pencil);
  const fitOf = (paper: string, fit: TrayFit['fit'], own: readonly object[]): TrayFit => ({
    paper,
    at: '2026-01-01T00:00:00.000Z',
    learnt: {},
    fit,
    pencils: own.map((each, i) => ({
      pencilId: `pencil-${i}`,
      fit: { ...(each as TrayFit['pencils'][number]['fit']), doubtful: [] },
    })),
  });

  it('every pencil of it can be laid on every paper at every pressure, and comes out as a colour', () => {
    fc.assert(
      fc.property(
        pencils,
        found,
        fc.array(pencilFit, { maxLength: 3 }),
        paperId,
        paperId,
        (some, fit, own, on, here) => {
          const all = named(some);
          const use = paperModelOf(here, all, [fitOf(on, fit, own.slice(0, all.length))]);
          for (const pencil of all) {
            const optics = pencilOptics(use.trayPencil(pencil));
            for (const pressure of PRESSURES) {
              const { lab, specks, toothLeft } = layPasses(bareGround(use.paper), [{ pencil: optics, pressure }]);
              for (const value of [...lab, specks, toothLeft]) expect(Number.isFinite(value)).to.equal(true);
              expect(specks).to.be.within(0, 1);
              expect(toothLeft).to.be.within(0, 1);
            }
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('a fitted pencil comes out at full strength as its full patch was read, on the paper that it was read on', () => {
    fc.assert(
      fc.property(pencils, found, pigmented, paperId, (some, fit, own, on) => {
        const [first, ...rest] = named(some);
        const use = paperModelOf(on, [first, ...rest], [fitOf(on, fit, [own])]);
        const optics = pencilOptics(use.trayPencil(first));
        const passes = (['firm', 'firm', 'burnish'] as const).map((pressure) => ({ pencil: optics, pressure }));
        const { lab } = layPasses(bareGround(use.paper), passes);
        // Paler than the paper, or clearer than its bare specks allow, no pencil can come out; nor does a hand that
        // hardly presses lay a full patch.
        const { lab: bare } = layPasses(bareGround(use.paper), []);
        if (own.masstone[0] > bare[0] - 25 || use.paper.rough > 1 || (fit.hand.firm ?? 1) < 0.5) return;
        expect(deltaE2000(lab, [...own.masstone])).to.be.below(9);
      }),
      { numRuns: 60 },
    );
  });

  it('no colour is believed more than its ground allows, and a fit here is believed most', () => {
    fc.assert(
      fc.property(pencils, found, pencilFit, paperId, paperId, (some, fit, own, on, here) => {
        const all = named(some);
        const use = paperModelOf(here, all, [fitOf(on, fit, [own])], new Set(all.map(({ id }) => id)));
        const beliefs = all.map(use.beliefIn);
        expect(beliefs[0].ground).to.equal(on === here ? 'fitted' : 'carried');
        for (const { ground, apart } of beliefs) {
          expect(BELIEFS).to.include(ground);
          expect(apart).to.be.at.least(1);
        }
        expect(beliefs[0].apart).to.be.at.least(own.apart);
      }),
    );
  });
});
