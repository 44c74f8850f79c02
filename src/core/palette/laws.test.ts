import { expect } from 'chai';
import fc from 'fast-check';
import { hueOfWheel, labOfHex, labOfOklch, oklchOfLab, turnBetween } from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { onPaper } from '../tray/index.ts';
import { CLARITIES, KEYS, SCHEMES, type SheetSummary, familyFor, proposePalettes, targetsOf } from './index.ts';

/** A tray that goes round the wheel in three values and two chromas, with greys. */
const tray = onPaper(
  Array.from({ length: 12 }, (_, i) =>
    [0.35, 0.6, 0.85].flatMap((l) => [0.05, 0.13].map((c) => ({ l, c, h: hueOfWheel(30 * i) }))),
  )
    .flat()
    .concat([0.2, 0.4, 0.6, 0.8, 0.95].map((l) => ({ l, c: 0, h: 0 })))
    .map((oklch, i) => ({ id: `pencil-${i}`, code: `T${i}`, masstone: labOfOklch(oklch), type: 'wax' })),
  whiteBook,
);
const part = fc.record({
  angle: fc.integer({ min: 0, max: 359 }),
  clarity: fc.constantFrom(...CLARITIES),
  key: fc.constantFrom(...KEYS),
});

describe('parts of a palette', () => {
  it('ask for a dark, a mid and a light in that order', () => {
    fc.assert(
      fc.property(part, (each) => {
        const { dark, mid, light } = targetsOf(each);
        expect(dark[0]).to.be.below(mid[0]);
        expect(mid[0]).to.be.below(light[0]);
      }),
    );
  });

  it('ask for more chroma the clearer they are, and for more light the paler their key', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), (angle) => {
        const chroma = CLARITIES.map((clarity) => oklchOfLab(targetsOf({ angle, clarity, key: 'middle' }).mid).c);
        expect(chroma).to.deep.equal([...chroma].sort((a, b) => b - a));
        const value = KEYS.map((key) => targetsOf({ angle, clarity: 'quiet', key }).mid[0]);
        expect(value).to.deep.equal([...value].sort((a, b) => a - b));
      }),
    );
  });
});

describe('families from a tray that goes round the wheel', () => {
  it('are three pencils of the tray in order of value, near the hue that was asked for', () => {
    const ids = new Set(tray.map((pencil) => pencil.id));
    fc.assert(
      fc.property(part, (each) => {
        const { family, dark, mid, light, miss } = familyFor(each, tray);
        expect(Object.values(family).every((id) => ids.has(id))).to.equal(true);
        expect(dark[0]).to.be.below(mid[0]);
        expect(mid[0]).to.be.below(light[0]);
        expect(miss).to.be.below(25);
        if (each.clarity === 'clear')
          expect(Math.abs(turnBetween(oklchOfLab(mid).h, hueOfWheel(each.angle)))).to.be.below(40);
      }),
      { numRuns: 60 },
    );
  });

  it('are never better from a part of the tray than from all of it', () => {
    fc.assert(
      fc.property(part, (each) => {
        const gapless = { ...each, clarity: 'quiet' as const };
        expect(familyFor(gapless, tray).miss).to.be.at.most(familyFor(gapless, tray.slice(0, 20)).miss + 6);
      }),
      { numRuns: 40 },
    );
  });
});

describe('palettes of any page', () => {
  const sheet = fc.integer({ min: 1, max: 9 }).chain((count) =>
    fc.record({
      things: fc.tuple(
        ...Array.from({ length: count }, (_, i) =>
          fc
            .record({
              area: fc.integer({ min: 5, max: 9000 }),
              focus: fc.boolean(),
              natural: fc.constantFrom(null, '#6d8a3c', '#c8962e'),
            })
            .map(({ area, focus, natural }) => ({
              id: `thing-${i}`,
              name: `Thing ${i}`,
              areaMm2: area,
              focus,
              natural: natural ? labOfHex(natural) : null,
            })),
        ),
      ),
      borders: fc
        .array(fc.tuple(fc.nat(count - 1), fc.nat(count - 1), fc.integer({ min: 1, max: 200 })), { maxLength: 12 })
        .map((list) =>
          list.filter(([a, b]) => a !== b).map(([a, b, lengthMm]) => ({ a: `thing-${a}`, b: `thing-${b}`, lengthMm })),
        ),
    }),
  );

  it('give every thing a part, whatever the page and the scheme, with scores from 0 to 100 and a reason', async () => {
    await fc.assert(
      fc.asyncProperty(
        sheet,
        fc.constantFrom(...SCHEMES),
        fc.integer({ min: 0, max: 359 }),
        async (page, scheme, anchor) => {
          for (const { parts, scores, reason, pencils } of await proposePalettes(page as SheetSummary, tray, {
            anchor,
            scheme: scheme.id,
          })) {
            expect(parts).to.have.length(page.things.length);
            for (const score of Object.values(scores)) expect(score).to.be.within(0, 100);
            expect(reason).to.contain(`${pencils} pencils`);
          }
        },
      ),
      { numRuns: 25 },
    );
  }).timeout(60_000);

  it('never change the natural colour that a thing must keep', async () => {
    await fc.assert(
      fc.asyncProperty(sheet, async (page) => {
        const [{ parts }] = await proposePalettes(page as SheetSummary, tray, { anchor: 60, scheme: 'triad' });
        page.things.forEach((thing, i) => {
          if (!thing.natural) return;
          expect(Math.abs(turnBetween(hueOfWheel(parts[i].angle), oklchOfLab(thing.natural).h))).to.be.below(3);
        });
      }),
      { numRuns: 15 },
    );
  }).timeout(60_000);
});
