import { expect } from 'chai';
import fc from 'fast-check';
import { type Lab, deltaE2000, labOfHex } from '../colour/index.ts';
import {
  PAPERS,
  PENCIL_TYPES,
  PRESSURES,
  PRESS,
  bareGround,
  layPasses,
  pencilOptics,
  pressOf,
  reflectanceOf,
  whiteBook,
} from './index.ts';
import { filmBetween, specked } from './ground.ts';
import { filmOver } from './kubelka-munk.ts';
import { coveredAfter, groundAfter, passGeometry } from './pass.ts';

const positive = (max: number) => fc.double({ min: 1e-4, max, noNaN: true });
const share = fc.double({ min: 0.01, max: 0.99, noNaN: true });
const chroma = (lab: Lab) => Math.hypot(lab[1], lab[2]);

describe('a film over a ground', () => {
  it('shows something between its own full colour and the ground', () => {
    fc.assert(
      fc.property(positive(5), positive(2), positive(20), share, (k, s, t, ground) => {
        const a = 1 + k / s;
        const full = a - Math.sqrt(a * a - 1);
        const seen = filmOver(k, s, t, ground);
        expect(seen).to.be.within(Math.min(full, ground) - 1e-9, Math.max(full, ground) + 1e-9);
      }),
    );
  });

  it('laid twice at half the thickness is the same as once', () => {
    fc.assert(
      fc.property(positive(5), positive(2), positive(8), share, (k, s, t, ground) => {
        const twice = filmOver(k, s, t / 2, filmOver(k, s, t / 2, ground));
        expect(twice).to.be.closeTo(filmOver(k, s, t, ground), 1e-6);
      }),
    );
  });

  it('goes over into its limits: no thickness, no scattering, no absorption', () => {
    expect(filmOver(1, 1, 0, 0.4)).to.equal(0.4);
    expect(filmOver(0.5, 0, 2, 0.4)).to.be.closeTo(0.4 * Math.exp(-2), 1e-12);
    expect(filmOver(0, 1, 1, 0)).to.be.closeTo(0.5, 1e-9);
    expect(filmOver(1e-8, 1, 1, 0.3)).to.be.closeTo(filmOver(0, 1, 1, 0.3), 1e-3);
  });

  it('that only absorbs darkens, the more the thicker', () => {
    fc.assert(
      fc.property(positive(3), positive(4), share, (k, t, ground) => {
        expect(filmOver(k, 0, 2 * t, ground)).to.be.below(filmOver(k, 0, t, ground));
      }),
    );
  });
});

describe('specks between a film', () => {
  it('are taken out again of what is seen, whatever light does in the paper', () => {
    fc.assert(
      fc.property(share, share, share, fc.constantFrom(1, 1.7, 2), (specks, bare, film, n) => {
        expect(filmBetween(specks, bare, specked(specks, bare, film, n), n)).to.be.closeTo(film, 1e-9);
      }),
    );
    expect(filmBetween(0.5, 0.9, 0.01, 2)).to.equal(0);
  });
});

describe('a pass', () => {
  const state = fc.record({
    rough: fc.double({ min: 0.5, max: 1.4, noNaN: true }),
    stray: fc.double({ min: 0.1, max: 2, noNaN: true }),
    crush: fc.double({ min: 0.1, max: 2, noNaN: true }),
    takes: fc.constantFrom(1, 0.02),
    tooth: fc.double({ min: 0.6, max: 1.4, noNaN: true }),
    spread: fc.double({ min: 0.5, max: 1.4, noNaN: true }),
    specks: share,
    filled: share,
    mass: positive(10),
  });
  const type = fc.constantFrom(...PENCIL_TYPES);

  it('covers no more than there is and lays something', () => {
    fc.assert(
      fc.property(state, type, share, (before, kind, press) => {
        const pass = passGeometry(before, kind, press);
        expect(pass.newly).to.be.within(0, before.specks);
        expect(pass.again).to.be.within(0, 1 - before.specks);
        expect(pass.mass).to.be.above(before.mass);
        expect(pass.specks).to.be.at.most(pass.specksLaid);
        expect(pass.filled).to.be.within(before.filled, 1);
        expect(pass.thick.again).to.be.at.most(pass.thick.newly + 1e-12);
      }),
    );
  });

  it('lays as much where paper was bare as on an empty page, however full the tooth is beside', () => {
    const half = { ...bareGround(whiteBook), specks: 0.4 };
    fc.assert(
      fc.property(type, share, fc.double({ min: 0, max: 0.6, noNaN: true }), (kind, press, filled) => {
        const [empty, full] = [0, filled].map((value) => passGeometry({ ...half, filled: value }, kind, press));
        expect(full.thick.newly).to.be.closeTo(empty.thick.newly, 1e-9);
        expect(full.thick.again).to.be.at.most(empty.thick.again);
      }),
    );
  });

  it('pressed harder leaves fewer specks and uses more tooth', () => {
    fc.assert(
      fc.property(type, fc.double({ min: 0.05, max: 0.9, noNaN: true }), (kind, press) => {
        const bare = bareGround(whiteBook);
        const [soft, hard] = [passGeometry(bare, kind, press), passGeometry(bare, kind, press + 0.1)];
        expect(hard.specks).to.be.below(soft.specks);
        expect(hard.filled).to.be.above(soft.filled);
      }),
    );
  });

  it('comes out the same by the quick way and by the plain one', () => {
    const ground = bareGround(whiteBook);
    const blue = pencilOptics({ masstone: labOfHex('#2b4fa3'), type: 'oil' });
    const first = passGeometry(ground, blue.type, 0.5);
    const once = groundAfter(ground, first, blue);
    const second = passGeometry(once, blue.type, 0.8);
    const twice = groundAfter(once, second, blue);
    for (let i = 0; i < 36; i++) {
      const before = { specks: once.specks, covered: once.covered[i], bare: once.bare[i] };
      expect(twice.covered[i]).to.be.closeTo(coveredAfter(before, second, blue.k[i], blue.s[i]), 1e-9);
    }
  });

  it('leaves the ground that it was given as it was', () => {
    const ground = bareGround(whiteBook);
    const before = [...reflectanceOf(ground)];
    layPasses(ground, [{ pencil: pencilOptics({ masstone: labOfHex('#c8202f'), type: 'wax' }), pressure: 'firm' }]);
    expect([...reflectanceOf(ground)]).to.deep.equal(before);
  });
});

describe('covering and translucent pencils', () => {
  const magenta = pencilOptics({ masstone: labOfHex('#c4367f'), type: 'oil', opacity: 0.15 });
  const over = (white: ReturnType<typeof pencilOptics>) => {
    const base = [1, 2].map(() => ({ pencil: magenta, pressure: 'medium' as const }));
    const ground = bareGround(whiteBook);
    return {
      before: layPasses(ground, base),
      after: layPasses(ground, [...base, { pencil: white, pressure: 'medium' as const }]),
    };
  };
  const clear = over(pencilOptics({ masstone: labOfHex('#f4f2ec'), type: 'oil', opacity: 0.2 }));
  const covering = over(pencilOptics({ masstone: labOfHex('#f4f2ec'), type: 'wax', opacity: 0.85 }));

  it('translucent white over magenta lifts it a little and keeps its chroma', () => {
    expect(clear.after.lab[0] - clear.before.lab[0]).to.be.within(0, 9);
    expect(chroma(clear.after.lab)).to.be.above(0.8 * chroma(clear.before.lab));
    expect(clear.after.specks).to.be.below(clear.before.specks);
  });

  it('covering white lifts it at least 1.7 times as much and takes chroma away', () => {
    const lift = (of: typeof clear) => of.after.lab[0] - of.before.lab[0];
    expect(lift(covering)).to.be.above(1.7 * lift(clear));
    expect(chroma(covering.after.lab)).to.be.below(0.85 * chroma(covering.before.lab));
  });

  it('a covering pencil hides a dark paper better than a translucent one', () => {
    const kraft = PAPERS.find((paper) => paper.id === 'kraft-card')!;
    const yellow = labOfHex('#f2c21d');
    const on = (opacity: number) => {
      const pencil = pencilOptics({ masstone: yellow, type: 'wax', opacity });
      return deltaE2000(
        layPasses(
          bareGround(kraft),
          [1, 2, 3].map(() => ({ pencil, pressure: 'firm' as const })),
        ).lab,
        yellow,
      );
    };
    expect(on(0.9)).to.be.below(on(0.1));
  });
});

describe('papers, pencils and pressures', () => {
  it('papers have names of their own, a tint and sizes that mean something', () => {
    expect(new Set(PAPERS.map((paper) => paper.id)).size).to.equal(PAPERS.length);
    for (const { tint, rough, tooth, says } of PAPERS) {
      expect(labOfHex(tint)[0]).to.be.within(40, 97);
      expect(rough).to.be.within(0.5, 1.5);
      expect(tooth).to.be.within(0.5, 1.5);
      expect(says).to.match(/\.$/);
    }
  });

  it('two firm passes fill as much tooth as each type is known to', () => {
    const expected: Record<string, number> = { oil: 0.69, wax: 0.79, pastel: 0.35, 'water-soluble': 0.65 };
    for (const { id } of PENCIL_TYPES) {
      const pencil = pencilOptics({ masstone: [50, 20, 20], type: id });
      const { toothLeft } = layPasses(
        bareGround(whiteBook),
        [1, 2].map(() => ({ pencil, pressure: 'firm' as const })),
      );
      expect(1 - toothLeft, id).to.be.closeTo(expected[id], 0.02);
    }
  });

  it('pressures go up from a whisper to burnishing, in any hand', () => {
    const presses = PRESSURES.map((pressure) => PRESS[pressure]);
    expect(presses).to.deep.equal([...presses].sort((a, b) => a - b));
    expect(pressOf('light', { light: 2 })).to.equal(0.5);
    expect(pressOf('burnish', { burnish: 3 })).to.equal(1);
    expect(pressOf(0.3)).to.equal(0.3);
    expect(pressOf(-1)).to.equal(0);
  });
});
