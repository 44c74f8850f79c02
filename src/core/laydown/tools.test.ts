import { expect } from 'chai';
import fc from 'fast-check';
import { type Lab, deltaE2000, labOfHex, oklchOfLab } from '../colour/index.ts';
import {
  PAPERS,
  PENCIL_TYPES,
  type Pass,
  type Pressure,
  TOOLS,
  type ToolPass,
  bareGround,
  layPasses,
  pencilOptics,
  remarksOn,
  reflectanceOf,
  toolById,
  whiteBook,
} from './index.ts';

const pencil = (hex: string, opacity = 0.15, type = 'oil') => pencilOptics({ masstone: labOfHex(hex), type, opacity });
const blue = pencil('#2b4fa3');
const red = pencil('#c8202f');
const yellow = pencil('#f7d117');
const pastel = pencil('#c46a3d', 0.78, 'pastel');
const washable = pencil('#2c7f45', 0.38, 'water-soluble');
const white = bareGround(whiteBook);
const chroma = (lab: Lab) => Math.hypot(lab[1], lab[2]);
const pass = (of: typeof blue, pressure: Pressure): Pass => ({ pencil: of, pressure });
const tool = (id: string, pressure: Pressure | number = 'burnish', colour?: Lab): ToolPass => ({
  tool: id,
  pressure,
  colour,
});
const lay = (...passes: (Pass | ToolPass)[]) => layPasses(white, passes);
const three = (of: typeof blue): Pass[] => [pass(of, 'light'), pass(of, 'light'), pass(of, 'light')];

describe('solvent over light layers', () => {
  for (const [name, of] of Object.entries({ blue, red, yellow, washable })) {
    it(`closes the specks of ${name} to under 8%, deepens it, and adds no pigment`, () => {
      const [before, after] = [lay(...three(of)), lay(...three(of), tool('solvent'))];
      expect(after.specks).to.be.below(0.08);
      expect(after.lab[0] < before.lab[0] - 6 || chroma(after.lab) > 1.15 * chroma(before.lab)).to.equal(true);
      expect(after.ground.mass).to.equal(before.ground.mass);
    });

    it(`does not make a painted area of ${name}: it stays below what firm and burnished passes give`, () => {
      const [after, full] = [
        lay(...three(of), tool('solvent')),
        lay(pass(of, 'firm'), pass(of, 'firm'), pass(of, 'burnish')),
      ];
      const paper = labOfHex(whiteBook.tint);
      expect(deltaE2000(after.lab, paper)).to.be.below(0.93 * deltaE2000(full.lab, paper));
    });
  }

  it('has to dry before a pencil goes over it', () => {
    expect(() => lay(pass(blue, 'light'), tool('solvent'), pass(red, 'light'))).to.throw(RangeError, 'let it dry');
    expect(lay(pass(blue, 'light'), tool('solvent'), tool('drying'), pass(red, 'light')).specks).to.be.below(0.5);
  });
});

describe('a barrier of hard white or wax', () => {
  const uptake = (barrier: (Pass | ToolPass)[]) => {
    const before = lay(...barrier).ground;
    return layPasses(before, [pass(blue, 'medium')]).ground.mass - before.mass;
  };
  for (const [name, barrier] of [
    ['white pencil', pass(pencil('#f4f2ec', 0.5, 'wax'), 'burnish')],
    ['candle', tool('wax-barrier')],
  ] as const) {
    it(`of one burnished ${name} cuts what takes afterwards by 40 to 75%`, () => {
      const cut = 1 - uptake([barrier]) / uptake([]);
      expect(cut).to.be.within(0.4, 0.75);
    });
  }

  it('of clear wax can hardly be seen itself', () => {
    expect(deltaE2000(lay(tool('wax-barrier')).lab, labOfHex(whiteBook.tint))).to.be.below(2);
  });
});

describe('blending', () => {
  it('cream whispered on pale blue leaves it blue, with less chroma', () => {
    const under = [pass(blue, 'whisper'), pass(blue, 'whisper')];
    const [before, after] = [lay(...under), lay(...under, pass(pencil('#f3e3b8', 0.4, 'wax'), 'whisper'))];
    expect(oklchOfLab(after.lab).h).to.be.within(190, 290);
    expect(chroma(after.lab)).to.be.below(chroma(before.lab));
  });

  it('burnishing a ramp with its lightest pulls the largest step down by 20% or more', () => {
    const ramp = ['#1d2f5e', '#2b4fa3', '#5c86c9', '#a9c6e6'].map((hex) => pencil(hex, 0.3));
    const lightest = ramp[ramp.length - 1];
    const largest = (burnished: boolean) => {
      const bands = ramp.map((of) => {
        return lay(pass(of, 'medium'), ...(burnished ? [pass(lightest, 'burnish')] : [])).lab;
      });
      return Math.max(...bands.slice(1).map((lab, i) => deltaE2000(lab, bands[i])));
    };
    expect(largest(true)).to.be.below(0.8 * largest(false));
  });

  it('a colourless blender closes specks, uses tooth and adds no colour of its own', () => {
    const [before, after] = [lay(...three(blue)), lay(...three(blue), tool('colourless-blender', 'firm'))];
    expect(after.specks).to.be.within(0.4 * before.specks, 0.8 * before.specks);
    expect(after.toothLeft).to.be.below(before.toothLeft);
    expect(after.ground.mass).to.equal(before.ground.mass);
    expect(lay(tool('colourless-blender')).lab).to.deep.equal(lay().lab);
  });

  it('a soft tip moves pastel and leaves wax and oil where they are', () => {
    const base = [pass(pastel, 'light')];
    expect(lay(...base, tool('soft-tip')).specks).to.be.below(0.6 * lay(...base).specks);
    expect(lay(pass(blue, 'light'), tool('soft-tip')).lab).to.deep.equal(lay(pass(blue, 'light')).lab);
  });

  it('water dissolves what is soluble, wets the rest, and never makes specks', () => {
    const wet = lay(...three(washable), tool('water'));
    expect(wet.specks).to.be.below(0.1);
    expect(wet.ground.wet).to.equal(true);
    expect(lay(...three(blue), tool('water')).lab).to.deep.equal(lay(...three(blue)).lab);
  });
});

describe('an eraser', () => {
  it('lifts the last layer more than the first, loose pigment more than bound, and frees some tooth', () => {
    const [before, after] = [
      lay(pass(blue, 'medium'), pass(red, 'medium')),
      lay(pass(blue, 'medium'), pass(red, 'medium'), tool('eraser', 'firm')),
    ];
    const left = after.ground.deposits.map(({ mass }, i) => mass / before.ground.deposits[i].mass);
    expect(left[0]).to.be.above(left[1]);
    expect(after.toothLeft).to.be.above(before.toothLeft);
    expect(after.specks).to.be.above(before.specks);
    const share = (of: typeof blue) => {
      const laid = lay(pass(of, 'medium'));
      return layPasses(laid.ground, [tool('eraser', 'firm')]).ground.mass / laid.ground.mass;
    };
    expect(share(pastel)).to.be.below(0.6 * share(blue));
  });

  it('brings a place back towards the paper and never quite to it', () => {
    const paper = labOfHex(whiteBook.tint);
    const stages = [0, 1, 2, 3].map(
      (times) => lay(pass(blue, 'medium'), ...Array.from({ length: times }, () => tool('eraser'))).lab,
    );
    const away = stages.map((lab) => deltaE2000(lab, paper));
    expect(away).to.deep.equal([...away].sort((a, b) => b - a));
    expect(away[3]).to.be.above(1);
  });
});

describe('other media', () => {
  const navy = labOfHex('#243a6b');
  const sky = labOfHex('#9fc4e8');
  const over = (...under: ToolPass[]) => {
    const { ground } = lay(...under);
    const after = layPasses(ground, [pass(yellow, 'medium'), pass(yellow, 'medium')]);
    return { miss: deltaE2000(after.lab, labOfHex('#f7d117')), taken: after.ground.mass - ground.mass };
  };

  it('marker has its own colour on white, takes hardly any tooth, and pencil shows less on a dark one', () => {
    const stained = lay(tool('marker', 1, sky));
    expect(deltaE2000(stained.lab, sky)).to.be.below(3);
    expect(stained.toothLeft).to.be.above(0.9);
    expect(over(tool('marker', 1, navy)).miss).to.be.above(2 * over().miss);
  });

  it('marker stays below coloured pencil that was there first', () => {
    const red3 = [pass(red, 'firm'), pass(red, 'firm')];
    const change = deltaE2000(lay(...red3).lab, lay(...red3, tool('marker', 1, sky)).lab);
    expect(change).to.be.below(0.5 * deltaE2000(lay().lab, lay(tool('marker', 1, sky)).lab));
  });

  it('a wash stains and wets; it takes pencil again once it is dry', () => {
    expect(() => lay(tool('wash', 'medium', sky), pass(red, 'light'))).to.throw(RangeError, 'wet');
    expect(lay(tool('wash', 'medium', sky), tool('drying'), pass(red, 'light')).specks).to.be.within(0.5, 0.6);
    const [thin, full] = [lay(tool('wash', 'light', sky)).lab, lay(tool('wash', 'burnish', sky)).lab];
    expect(thin[0]).to.be.above(full[0]);
  });

  it('opaque paint hides what is below and leaves little tooth', () => {
    const painted = lay(pass(blue, 'firm'), tool('paint', 1, sky));
    expect(deltaE2000(painted.lab, sky)).to.be.below(4);
    expect(painted.toothLeft).to.be.below(0.25);
    expect(over(tool('paint', 1, sky), tool('drying')).taken).to.be.below(0.4 * over().taken);
  });

  it('a white pen dot is white over anything, and no pencil takes on it', () => {
    const dot = lay(pass(blue, 'firm'), pass(red, 'firm'), tool('opaque-pen', 1, [96, 0, 1]));
    expect(dot.lab[0]).to.be.above(92);
    const later = layPasses(dot.ground, [pass(red, 'light')]);
    expect(deltaE2000(later.lab, dot.lab)).to.be.below(3);
  });

  it('every kind says what to mind, and is refused by a name that is not known', () => {
    for (const { id, caution } of TOOLS) if (id !== 'drying') expect(caution, id).to.match(/\.$/);
    expect(() => toolById('spoon')).to.throw(RangeError, 'no tool called');
    expect(TOOLS.find(({ id }) => id === 'solvent')!.caution).to.match(/window.*flame/);
  });
});

describe('what keeps paper as it is', () => {
  it('a mask keeps out every pencil and every wet tool, and gives the place back as it was', () => {
    const later = [pass(blue, 'firm'), tool('solvent'), tool('wash', 'burnish', [60, 40, 50]), pass(red, 'burnish')];
    const before = lay(pass(yellow, 'light'));
    const masked = lay(pass(yellow, 'light'), tool('mask', 'medium'), ...later);
    const off = layPasses(masked.ground, [tool('mask-off')]);
    expect(masked.lab).to.deep.equal(before.lab);
    expect(off.ground).to.deep.equal(before.ground);
    expect(layPasses(off.ground, [pass(blue, 'firm')]).lab[0]).to.be.below(before.lab[0] - 10);
  });

  it('grooves stay as the page was: paper in a dark, and a first colour under another', () => {
    const dark: Pass[] = [pass(blue, 'medium'), pass(blue, 'medium'), pass(blue, 'firm')];
    const [plain, grooved] = [lay(...dark), lay(tool('indent', 'medium'), ...dark)];
    expect(grooved.lab[0]).to.be.above(plain.lab[0] + 3);
    expect(grooved.specks).to.be.closeTo(0.14, 0.03);
    const yellowLines = lay(...three(yellow), tool('indent', 'medium'), ...dark);
    expect(yellowLines.lab[2]).to.be.above(lay(...three(yellow), ...dark).lab[2] + 2);
  });

  it('a mask over grooves keeps those too', () => {
    const grooved = lay(tool('indent', 'firm'), pass(blue, 'firm'));
    const masked = layPasses(grooved.ground, [tool('mask'), pass(red, 'burnish'), tool('mask-off')]);
    expect(masked.lab).to.deep.equal(grooved.lab);
  });
});

describe('a burnisher', () => {
  const layers = three(blue);
  it('closes what lies there without a new colour, and leaves no room for another', () => {
    const [before, after] = [lay(...layers), lay(...layers, tool('burnisher', 'firm'))];
    expect(after.specks).to.be.below(0.7 * before.specks);
    expect(after.ground.mass).to.equal(before.ground.mass);
    expect(after.toothLeft).to.be.below(0.45 * before.toothLeft);
    const over = (of: typeof before) => deltaE2000(layPasses(of.ground, [pass(yellow, 'medium')]).lab, of.lab);
    expect(over(after)).to.be.below(0.6 * over(before));
  });
});

describe('what is told of a tool without its colours', () => {
  it('is what it does to specks and tooth wherever pencil lies', () => {
    for (const { id, relief, use } of TOOLS.filter((each) => each.relief)) {
      for (const amount of [0.2, 0.5, 1]) {
        const { ground } = lay(pass(blue, 'light'), pass(red, 'medium'));
        const [seen, told] = [use(ground, amount, ground.bare), relief!(ground, amount)];
        expect(told.specks, id).to.be.closeTo(seen.specks, 1e-9);
        expect(told.filled, id).to.be.closeTo(seen.filled, 1e-9);
      }
    }
  });
});

describe('remarks on passes', () => {
  const remarks = (...passes: (Pass | ToolPass)[]) => remarksOn(white, passes);

  it('say when the tooth fills up, once, and when it is full', () => {
    const said = remarks(...Array.from({ length: 6 }, () => pass(blue, 'firm'))).flat();
    expect(said.filter((one) => one.includes('filling up'))).to.have.length(1);
    expect(said.filter((one) => one.includes('hardly takes any more'))).to.have.length(1);
  });

  it('say when pressing hard comes too early, and not when it comes last', () => {
    expect(remarks(pass(blue, 'burnish'), pass(red, 'light'))[0].join(' ')).to.contain('this early');
    expect(remarks(pass(red, 'light'), pass(blue, 'burnish')).flat().join(' ')).to.not.contain('this early');
  });

  it('say when something made no difference, and what to mind with everything else', () => {
    expect(remarks(tool('soft-tip'))[0].join(' ')).to.contain('no difference');
    expect(remarks(pass(blue, 'light'), tool('solvent'))[1].join(' ')).to.contain('no flame');
    expect(remarks(tool('drying'))[0].join(' ')).to.contain('dry already');
    expect(remarks(pass(blue, 'light'))[0]).to.deep.equal([]);
  });
});

describe('laws of all that is laid, with pencils and everything else', () => {
  const pressure = fc.double({ min: 0.05, max: 1, noNaN: true });
  const step = fc.oneof(
    fc.record({ pencil: fc.constantFrom(blue, red, yellow, pastel, washable), pressure }),
    fc.record({
      tool: fc.constantFrom(...TOOLS.map(({ id }) => id)),
      pressure,
      colour: fc.constantFrom<Lab>([90, -20, -20], [20, 5, -30], [60, 40, 50]),
    }),
  );
  const steps = fc.array(step, { minLength: 1, maxLength: 8 });
  const paper = fc.constantFrom(...PAPERS);
  /** Lets the paper dry wherever it is wet. */
  const withDrying = (of: readonly (Pass | ToolPass)[]) => of.flatMap((one) => [tool('drying'), one]);

  it('reflectance stays between nothing and everything', () => {
    fc.assert(
      fc.property(paper, steps, (on, laid) => {
        const spectrum = reflectanceOf(layPasses(bareGround(on), withDrying(laid)).ground);
        expect(Math.min(...spectrum)).to.be.at.least(0);
        expect(Math.max(...spectrum)).to.be.at.most(1 + 1e-9);
      }),
    );
  });

  it('filled tooth never comes free except by solvent or eraser, and specks never come back except by an eraser', () => {
    fc.assert(
      fc.property(paper, steps, (on, laid) => {
        let ground = bareGround(on);
        for (const one of laid) {
          const before = ground;
          ground = layPasses(ground, withDrying([one])).ground;
          const id = 'tool' in one ? one.tool : 'pencil';
          if (id !== 'solvent' && id !== 'eraser') expect(ground.filled, id).to.be.at.least(before.filled - 1e-12);
          if (id !== 'eraser') expect(ground.specks, id).to.be.at.most(before.specks + 1e-12);
        }
      }),
    );
  });

  it('mass is what the deposits hold together, and only an eraser takes any', () => {
    fc.assert(
      fc.property(paper, steps, (on, laid) => {
        let ground = bareGround(on);
        for (const one of laid) {
          const before = ground.mass;
          ground = layPasses(ground, withDrying([one])).ground;
          expect(ground.deposits.reduce((sum, { mass }) => sum + mass, 0)).to.be.closeTo(ground.mass, 1e-9);
          if (!('tool' in one && one.tool === 'eraser')) expect(ground.mass).to.be.at.least(before - 1e-12);
        }
      }),
    );
  });

  it('nothing used with no pressure changes anything', () => {
    fc.assert(
      fc.property(steps, fc.constantFrom(...TOOLS), (laid, { id }) => {
        const { ground } = layPasses(white, withDrying(laid));
        expect(layPasses(ground, [tool(id, 0)]).ground).to.equal(ground);
      }),
    );
  });

  it('until the masstone is first reached, more passes of one pencil never move away from it', () => {
    const hex = fc.constantFrom('#c8202f', '#2b4fa3', '#2c7f45', '#7a4a2b', '#6b3fa0', '#31363c', '#e0a020');
    const kind = fc.constantFrom(...PENCIL_TYPES);
    fc.assert(
      fc.property(hex, kind, pressure, (colour, { id, opacity }, press) => {
        const masstone = labOfHex(colour);
        const of = pencilOptics({ masstone, type: id, opacity });
        const { after } = layPasses(white, new Array(8).fill({ pencil: of, pressure: press }));
        const away = after.map(({ lab }) => deltaE2000(lab, masstone));
        // It is reached where the passes come nearest to it; from there on they move on and away.
        const until = away.slice(0, away.indexOf(Math.min(...away)) + 1);
        for (let i = 1; i < until.length; i++) expect(until[i]).to.be.at.most(until[i - 1] + 0.05);
      }),
      { numRuns: 60 },
    );
  });

  it('the darker the paper, of the same tooth, the darker the same laydown, whatever was laid', () => {
    const order = ['#f4f4f4', '#d0d0d0', '#989898', '#585858'].map((tint) => ({ ...whiteBook, tint }));
    fc.assert(
      fc.property(
        fc.array(fc.record({ pencil: fc.constantFrom(blue, red, yellow), pressure }), { minLength: 1, maxLength: 4 }),
        (laid) => {
          const values = order.map((on) => layPasses(bareGround(on), laid).lab[0]);
          for (let i = 1; i < values.length; i++) expect(values[i]).to.be.at.most(values[i - 1] + 1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });
});
