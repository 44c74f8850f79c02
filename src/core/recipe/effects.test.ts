import { expect } from 'chai';
import fc from 'fast-check';
import { labOfHex, oklchOfLab } from '../colour/index.ts';
import { PAPERS, PRESS, bareGround, layPasses, pencilOptics, whiteBook } from '../laydown/index.ts';
import { MATERIALS } from '../light/index.ts';
import {
  EFFECTS,
  type Family,
  type Recipe,
  SCHOOLS,
  checkRecipe,
  compileRecipe,
  effectById,
  familyOf,
  layersFor,
  pencilsOf,
  proposeEffect,
  shareInZone,
} from './index.ts';

const HEX: Record<string, string> = {
  soot: '#2b2521',
  russet: '#7a4a2a',
  ochre: '#c6913a',
  lemon: '#f2d24a',
  night: '#22315f',
  blue: '#4f6bb0',
  sky: '#b5d4ea',
  rose: '#f2c6c0',
  slate: '#71787f',
  silver: '#c9ccd0',
};
const optics = new Map(
  Object.entries(HEX).map(([id, hex]) => [id, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]),
);
const gold = familyOf(['soot', 'russet', 'ochre', 'lemon']);
const blue = familyOf(['night', 'blue', 'sky']);
const wide = { regions: [{ usableWidthMm: 12, areaMm2: 200 }] };
const steps = Array.from({ length: 101 }, (_, k) => k / 100);

/** What lies at a tone when all of a recipe is laid, and how much paper shows there. */
function laidAt({ layers }: Recipe, tone: number, paper = whiteBook) {
  const passes = layers.flatMap(({ pencil, pressure, passes: times, zone }) => {
    const press = PRESS[pressure] * shareInZone(zone, { tone: { value: tone, source: 0 } });
    return press > 0.004 ? Array.from({ length: times }, () => ({ pencil: optics.get(pencil)!, pressure: press })) : [];
  });
  return passes.length > 0 ? layPasses(bareGround(paper), passes) : { lab: labOfHex(paper.tint), specks: 1 };
}
const made = (id: string, family: Family, context = wide) => compileRecipe(id, 'base-coat-first', family, context);
const values = (recipe: Recipe) => steps.map((tone) => laidAt(recipe, tone).lab[0]);
const bareFrom = (recipe: Recipe) => steps.find((tone) => laidAt(recipe, tone).specks === 1 && tone > 0.5)!;
const largestJump = (row: readonly number[]) => Math.max(...row.slice(1).map((value, k) => Math.abs(value - row[k])));

describe('every effect', () => {
  const width = fc.double({ min: 0.3, max: 60, noNaN: true });
  const family = fc
    .subarray(['night', 'russet', 'blue', 'ochre', 'sky'], { minLength: 1 })
    .map((pencils) => familyOf(pencils));

  it('has a name, a line and an id of its own, and suits materials that there are', () => {
    expect(new Set(EFFECTS.map(({ id }) => id)).size).to.equal(EFFECTS.length);
    for (const { says, suits } of EFFECTS) {
      expect(says).to.match(/\.$/);
      expect(MATERIALS.map(({ id }) => id)).to.include.members([...suits]);
    }
    expect(() => effectById('plaid')).to.throw(RangeError, 'no effect');
  });

  it('is laid with the pencils of the family alone, in layers that say what they are for, whatever width and school', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...EFFECTS),
        fc.constantFrom(...SCHOOLS),
        family,
        width,
        (effect, school, own, mm) => {
          const recipe = compileRecipe(effect.id, school.id, own, { regions: [{ usableWidthMm: mm, areaMm2: 20 }] });
          expect(new Set(recipe.layers.map(({ id }) => id)).size).to.equal(recipe.layers.length);
          for (const { pencil, purpose, zone, passes, id } of recipe.layers) {
            expect(pencilsOf(own)).to.include(pencil);
            expect(purpose).to.match(/\.$/);
            expect(zone.to).to.be.above(zone.from);
            expect(zone.from).to.be.at.least(0);
            expect(zone.to).to.be.at.most(1);
            expect(passes).to.be.within(1, 6);
            expect(id).to.match(/^[a-z0-9-]+$/);
          }
          expect(layersFor(recipe, mm)).to.have.length.above(0);
          for (const note of recipe.notes) expect(note).to.match(/\.$/);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('loses no layer by more width', () => {
    fc.assert(
      fc.property(fc.constantFrom(...EFFECTS), family, width, width, (effect, own, a, b) => {
        const recipe = made(effect.id, own, { regions: [{ usableWidthMm: a, areaMm2: 20 }] });
        expect(layersFor(recipe, Math.max(a, b))).to.include.members(layersFor(recipe, Math.min(a, b)));
      }),
    );
  });

  it('leaves tooth for every layer, in a family of four and on every paper', () => {
    for (const paper of PAPERS) {
      for (const { id } of EFFECTS) {
        const found = checkRecipe(made(id, gold), wide, optics, bareGround(paper)).map(({ kind }) => kind);
        expect(found, `${id} on ${paper.name}`).to.not.include('full-tooth').and.to.not.include('no-value-step');
      }
    }
  });

  it('is proposed for its materials, and a blend for all others', () => {
    expect(proposeEffect('gold')).to.equal('polished-metal');
    expect(proposeEffect('gem')).to.equal('domed-gem');
    expect(proposeEffect('fur')).to.equal('fur');
    expect(proposeEffect('wood')).to.equal('wood');
    expect(proposeEffect('cloth')).to.equal('blend');
    expect(proposeEffect(null)).to.equal('blend');
  });
});

describe('gold', () => {
  const recipe = made('polished-metal', gold);

  it('begins with the darkest and ends with its accents; hard edges, no burnishing', () => {
    expect(recipe.layers[0].pencil).to.equal('soot');
    expect(recipe.layers.at(-1)!.pencil).to.equal('soot');
    expect(recipe.layers.every(({ zone }) => zone.softnessMm <= 0.1)).to.equal(true);
  });

  it('leaves a small white of bare paper, and lays its dark right beside it', () => {
    const white = bareFrom(recipe);
    expect(1 - white).to.be.within(0.04, 0.1);
    expect(laidAt(recipe, white - 0.03).lab[0]).to.be.below(45);
    expect(laidAt(recipe, white + 0.02).lab[0]).to.be.above(90);
  });

  it('has hard edges: somewhere its value jumps by more than a blend ever does', () => {
    expect(largestJump(values(recipe))).to.be.above(3 * largestJump(values(made('blend', gold))));
  });

  it('runs from red-brown to yellow on its way from dark to light', () => {
    const hues = [0.29, 0.5, 0.75].map((tone) => oklchOfLab(laidAt(recipe, tone).lab).h);
    expect(hues).to.deep.equal([...hues].sort((a, b) => a - b));
    expect(hues[0]).to.be.within(30, 75);
    expect(hues[2]).to.be.within(80, 110);
  });

  it('in a shape of a millimetre is laid from one pencil, and says so', () => {
    const tiny = made('polished-metal', gold, { regions: [{ usableWidthMm: 1.1, areaMm2: 3 }] });
    expect(new Set(tiny.layers.map(({ pencil }) => pencil))).to.deep.equal(new Set(['soot']));
    expect(tiny.notes.join()).to.contain('no room for a ladder');
  });
});

describe('satin metal', () => {
  it('has the values of a polished one without its hard edges and its streak', () => {
    const [satin, polished] = [made('satin-metal', gold), made('polished-metal', gold)];
    expect(largestJump(values(satin))).to.be.below(0.5 * largestJump(values(polished)));
    const light = values(satin).slice(20, 95);
    light.slice(1).forEach((value, k) => expect(value).to.be.at.least(light[k] - 1.5));
  });
});

describe('silver', () => {
  it('stays neutral, and takes a trace of what is beside it from an accent', () => {
    const silver = made('polished-metal', familyOf(['soot', 'slate', 'silver']));
    for (const tone of steps) expect(oklchOfLab(laidAt(silver, tone).lab).c).to.be.below(0.045);
  });
});

describe('a domed gem', () => {
  const recipe = made('domed-gem', blue);

  it('is darkest right beside its highlight, which no layer enters, dark at its edge, and glows between', () => {
    const row = values(recipe);
    const white = bareFrom(recipe);
    const darkest = steps[row.indexOf(Math.min(...row))];
    expect(white - darkest).to.be.within(0, 0.16);
    expect(laidAt(recipe, 0.35).lab[0]).to.be.above(laidAt(recipe, darkest).lab[0] + 25);
    expect(laidAt(recipe, 0.35).lab[0]).to.be.above(laidAt(recipe, 0.02).lab[0] + 15);
    expect(laidAt(recipe, 0.98).specks).to.equal(1);
  });

  it('fades steadily from the dark to the glow', () => {
    const row = values(recipe).slice(42, 80);
    row.slice(1).forEach((value, k) => expect(value).to.be.at.most(row[k] + 0.5));
  });

  it('of a millimetre or two is one colour and white', () => {
    const tiny = made('domed-gem', blue, { regions: [{ usableWidthMm: 1.3, areaMm2: 2 }] });
    expect(new Set(tiny.layers.map(({ pencil }) => pencil)).size).to.equal(1);
    expect(laidAt(tiny, 0.9).specks).to.equal(1);
    expect(tiny.notes.join()).to.contain('one colour and white');
  });
});

describe('pearl, glass and snow', () => {
  it('are mostly paper: pale in the middle of their tones on every paper', () => {
    for (const paper of PAPERS) {
      for (const id of ['pearl', 'glass', 'snow']) {
        const family = id === 'pearl' ? familyOf(['slate', 'rose']) : blue;
        const lost = labOfHex(paper.tint)[0] - laidAt(made(id, family), 0.6, paper).lab[0];
        expect(lost, `${id} on ${paper.name}`).to.be.below(26);
      }
    }
  });

  it('glass has hard dark lines, a pearl has none', () => {
    expect(largestJump(values(made('glass', blue)))).to.be.above(12);
    expect(largestJump(values(made('pearl', familyOf(['slate', 'rose']))))).to.be.below(7);
  });

  it('snow lays nothing on its sun side, and grey only over colour', () => {
    const calmed = made('snow', familyOf(['blue', 'sky'], { neutral: 'slate' }));
    expect(laidAt(calmed, 0.85).specks).to.equal(1);
    expect(calmed.layers.at(-1)).to.include({ role: 'neutral', pressure: 'whisper' });
  });
});

describe('fur', () => {
  it('of middling length is flicked throughout, denser into the shadow, with its lightest whispered into the highlight', () => {
    const recipe = made('fur', familyOf(['soot', 'russet', 'ochre']));
    expect(recipe.layers.every(({ stroke }) => stroke === 'flicks')).to.equal(true);
    expect(laidAt(recipe, 1).specks).to.be.within(0.12, 0.95);
    const row = values(recipe);
    row.slice(1).forEach((value, k) => expect(value).to.be.at.least(row[k] - 1));
  });
});

describe('schools of a blend', () => {
  const order = (id: string) => compileRecipe('blend', id, blue, wide).layers;

  it('light to dark ends darker layers on ever less of the shape', () => {
    const [base, middle, shadow] = order('light-to-dark');
    expect([base.pencil, middle.pencil, shadow.pencil]).to.deep.equal(['sky', 'blue', 'night']);
    expect(base.zone.to).to.be.above(middle.zone.to);
    expect(middle.zone.to).to.be.above(shadow.zone.to);
    expect(order('light-to-dark').filter(({ pressure }) => pressure === 'firm')).to.have.length(1);
  });

  it('a dark foundation lies thinly over everything but the glow before anything else', () => {
    const [foundation] = order('dark-foundation');
    expect(foundation).to.include({ pencil: 'night', pressure: 'light', passes: 1 });
    expect(foundation.zone.to).to.be.within(0.7, 0.85);
    expect(laidAt(compileRecipe('blend', 'dark-foundation', blue, wide), 0.97).lab[0]).to.be.above(75);
  });
});
