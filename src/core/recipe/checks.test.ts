import { expect } from 'chai';
import { labOfHex } from '../colour/index.ts';
import { bareGround, paperById, pencilOptics, whiteBook } from '../laydown/index.ts';
import {
  type Beside,
  type Family,
  type Layer,
  type RecipeEdits,
  CHECKS,
  checkRecipe,
  compileRecipe,
  familyOf,
  fillPaper,
  mergedEdits,
  withEdits,
} from './index.ts';

const HEX: Record<string, string> = {
  soot: '#2b2521',
  russet: '#7a4a2a',
  ochre: '#c6913a',
  lemon: '#f2d24a',
  white: '#fbfbf8',
  night: '#22315f',
  blue: '#4f6bb0',
  sky: '#b5d4ea',
  orange: '#e0802a',
  mint: '#9fd8b0',
  dusk: '#8fa6d8',
};
const optics = new Map(
  Object.entries(HEX).map(([id, hex]) => [id, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]),
);
const context = {
  regions: [{ usableWidthMm: 12, areaMm2: 200 }],
  heightMm: 20,
  glow: { reachMm: 20, pencil: null, warm: true },
};
const blue = familyOf(['night', 'blue', 'sky']);
const gold = familyOf(['soot', 'russet', 'ochre', 'lemon']);

interface Fault {
  effect?: string;
  school?: string;
  family?: Family;
  edits: RecipeEdits;
  beside?: Beside;
}
/** A recipe as plans have it: the paper closed as far as its effect wants. */
const planned = (effect: string, school: string, family: Family, paper: string) =>
  fillPaper(
    compileRecipe(effect, school, family, context),
    context,
    (pencil) => optics.get(pencil),
    bareGround(paperById(paper)),
  );
const recipeOf = ({ effect = 'blend', school = 'base-coat-first', family = blue, edits }: Fault) =>
  withEdits(planned(effect, school, family, whiteBook.id), edits);
const found = (fault: Fault) =>
  checkRecipe(recipeOf(fault), context, optics, bareGround(whiteBook), fault.beside).map((finding) => ({
    ...finding,
    fault,
  }));
const kinds = (fault: Fault) => found(fault).map(({ kind }) => kind);

/** A layer of one's own over all of a shape. */
const own = (id: string, pencil: string, rest: Partial<Layer> = {}): Layer => ({
  id,
  pencil,
  role: 'mid',
  pressure: 'light',
  passes: 1,
  stroke: 'small circles',
  point: 'normal',
  purpose: 'Of one’s own.',
  fromWidthMm: 0,
  zone: { field: 'tone', from: 0, to: 1, softnessMm: 0, overMm: 6 },
  ...rest,
});
const paper = (waterSafe: boolean | null, weightGsm: number | null = null) => ({
  paper: { waterSafe, weightGsm, inkRuns: null },
});
const wash = (dryMinutes?: number) => ({
  added: [own('wet', 'sky', { tool: 'water', dryMinutes })],
  order: ['base', 'wet', 'shadow', 'middle', 'deepen', 'unify'],
});

/** For each check a recipe with that one fault, and one that comes near it and is sound. */
const FAULTS: Record<string, { seeded: Fault; nearMiss: Fault }> = {
  'full-tooth': {
    seeded: { edits: { layers: { base: { pressure: 'firm', passes: 4 }, shadow: { pressure: 'firm', passes: 3 } } } },
    nearMiss: { edits: { layers: { base: { passes: 2 } } } },
  },
  'burnished-early': {
    seeded: { edits: { layers: { base: { pressure: 'burnish' } } } },
    nearMiss: { edits: { layers: { unify: { pressure: 'burnish' } } } },
  },
  'heavy-dark-first': {
    seeded: {
      school: 'dark-first',
      edits: { layers: { shadow: { pressure: 'firm' }, middle: { from: 0 }, unify: { from: 0 } } },
    },
    nearMiss: { school: 'dark-first', edits: {} },
  },
  'highlight-lost': {
    seeded: { effect: 'domed-gem', edits: { layers: { base: { to: 1 } } } },
    nearMiss: { effect: 'domed-gem', edits: { layers: { base: { to: 0.95 } } } },
  },
  'wet-paper': {
    seeded: { edits: wash(20), beside: paper(false) },
    nearMiss: { edits: wash(20), beside: paper(true, 90) },
  },
  'still-wet': { seeded: { edits: wash(5) }, nearMiss: { edits: wash(20) } },
  'after-pen': {
    seeded: {
      edits: {
        added: [own('pen', 'sky', { tool: 'opaque-pen', dryMinutes: 2 })],
        order: ['base', 'pen', 'shadow', 'middle', 'deepen', 'unify'],
      },
    },
    nearMiss: { edits: { added: [own('pen', 'sky', { tool: 'opaque-pen', dryMinutes: 2 })] } },
  },
  'too-late': {
    seeded: { edits: { added: [own('barrier', 'sky', { tool: 'wax-barrier' })] } },
    nearMiss: {
      edits: {
        added: [own('barrier', 'sky', { tool: 'wax-barrier' })],
        order: ['barrier', 'base', 'shadow', 'middle', 'deepen', 'unify'],
      },
    },
  },
  'mask-stays': {
    seeded: {
      edits: {
        added: [own('mask', 'sky', { tool: 'mask', dryMinutes: 15 })],
        order: ['mask', 'base', 'shadow', 'middle', 'deepen', 'unify'],
      },
    },
    nearMiss: {
      edits: {
        added: [own('mask', 'sky', { tool: 'mask', dryMinutes: 15 }), own('off', 'sky', { tool: 'mask-off' })],
        order: ['mask', 'base', 'shadow', 'middle', 'deepen', 'unify', 'off'],
      },
    },
  },
  'smooth-metal': {
    seeded: {
      effect: 'polished-metal',
      family: gold,
      edits: {
        layers: Object.fromEntries(
          ['shadow', 'middle', 'middle-2', 'light', 'deepen', 'streak'].map((id) => [
            id,
            { softnessMm: 3, pressure: 'whisper' },
          ]),
        ),
      },
    },
    nearMiss: { effect: 'polished-metal', family: gold, edits: { layers: { middle: { softnessMm: 1 } } } },
  },
  'weak-glow': {
    seeded: {
      effect: 'warm-glow',
      family: familyOf(['blue', 'sky']),
      edits: { layers: { shadow: { pressure: 'whisper', passes: 1 }, deepen: { pressure: 'whisper' } } },
    },
    nearMiss: { effect: 'warm-glow', edits: {} },
  },
  'no-value-step': {
    seeded: {
      family: familyOf(['dusk', 'sky']),
      edits: {
        layers: Object.fromEntries(
          ['shadow', 'middle', 'deepen'].map((id) => [id, { pressure: 'whisper', passes: 1 }]),
        ),
      },
    },
    nearMiss: { family: familyOf(['dusk', 'sky']), edits: {} },
  },
  'large-step': {
    seeded: {
      edits: { layers: { shadow: { softnessMm: 0.2, pressure: 'firm' }, middle: { passes: 1 } } },
    },
    nearMiss: { edits: { layers: { shadow: { softnessMm: 1.5 } } } },
  },
  opposites: {
    seeded: { edits: { layers: { shadow: { pencil: 'blue' }, middle: { pencil: 'orange' } } } },
    nearMiss: { family: { ...blue, accent: 'orange' }, edits: {} },
  },
  'white-over-colour': {
    seeded: { edits: { layers: { unify: { pencil: 'white', from: 0.05 } } } },
    nearMiss: { edits: { layers: { unify: { pencil: 'white', from: 0.05, pressure: 'whisper' } } } },
  },
  'paper-shows': {
    seeded: {
      edits: {
        layers: {
          base: { passes: 1, pressure: 'light' },
          middle: { passes: 1, pressure: 'light' },
          shadow: { passes: 1, pressure: 'light' },
          unify: { passes: 1, pressure: 'light' },
        },
      },
    },
    nearMiss: { edits: {} },
  },
  'blender-early': {
    seeded: {
      edits: {
        added: [own('blender', 'sky', { tool: 'colourless-blender', pressure: 'medium' })],
        order: ['base', 'blender', 'shadow', 'middle', 'deepen', 'unify'],
      },
    },
    nearMiss: { edits: { added: [own('blender', 'sky', { tool: 'colourless-blender', pressure: 'medium' })] } },
  },
  'wrong-blender': {
    seeded: { edits: { layers: { unify: { pencil: 'lemon' } } } },
    nearMiss: { family: gold, edits: { layers: { unify: { pencil: 'lemon' } } } },
  },
  'dark-at-border': {
    seeded: {
      edits: { layers: { deepen: { point: 'normal' } } },
      beside: { neighbours: [{ name: 'Moth', palest: 92 }] },
    },
    nearMiss: {
      edits: { layers: { deepen: { point: 'sharp' } } },
      beside: { neighbours: [{ name: 'Moth', palest: 92 }] },
    },
  },
};

describe('each check of a recipe', () => {
  it('has a fault of its own below, but for narrow regions', () => {
    expect([...Object.keys(FAULTS), 'narrow']).to.have.members(CHECKS.map(({ id }) => id));
  });

  for (const [id, { seeded, nearMiss }] of Object.entries(FAULTS)) {
    it(`finds ${id} where it is, and not where it is only near`, () => {
      expect(kinds(seeded)).to.include(id);
      expect(kinds(nearMiss)).to.not.include(id);
    });

    it(`offers a remedy for ${id} that mends it when it is applied`, () => {
      let { edits } = seeded;
      expect(kinds(seeded)).to.include(id);
      // A remedy goes one step at a time; a hand that follows it a few times gets there.
      for (let k = 0; k < 6; k++) {
        const finding = found({ ...seeded, edits }).find(({ kind }) => kind === id);
        if (!finding) break;
        expect(finding.sentence).to.match(/^[A-Z].*\.$/);
        expect(finding.remedy).to.match(/^[A-Z].*\.$/);
        expect(finding.change).to.not.equal(null);
        edits = mergedEdits(edits, finding.change!);
      }
      expect(kinds({ ...seeded, edits })).to.not.include(id);
    });
  }

  it('takes a school’s own habits for no fault, on every paper and in every school', () => {
    for (const school of ['base-coat-first', 'dark-first', 'light-to-dark', 'dark-foundation']) {
      for (const on of ['white-book', 'cream-sheet', 'toothed-white', 'toned-grey-card']) {
        const recipe = planned('blend', school, gold, on);
        const kindsThere = checkRecipe(recipe, context, optics, bareGround(paperById(on))).map(({ kind }) => kind);
        expect(kindsThere, `${school} on ${on}`).to.deep.equal([]);
      }
    }
  });
});
