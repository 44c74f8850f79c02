import { expect } from 'chai';
import { labOfHex, oklchOfLab } from '../colour/index.ts';
import { minutesFor } from '../bench/index.ts';
import { TOOLS, bareGround, layPasses, pencilOptics, toolById, whiteBook } from '../laydown/index.ts';
import {
  EFFECTS,
  type Recipe,
  checkRecipe,
  compileRecipe,
  familyOf,
  fillPaper,
  layerLaidWith,
  passesOf,
  shareInZone,
  toothAfter,
  withEdits,
  withToolLayer,
} from './index.ts';

const HEX: Record<string, string> = { soot: '#2b2521', night: '#22315f', blue: '#4f6bb0', sky: '#b5d4ea' };
const optics = new Map(
  Object.entries(HEX).map(([id, hex]) => [id, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]),
);
const context = {
  regions: [{ usableWidthMm: 14, areaMm2: 300 }],
  heightMm: 24,
  glow: { reachMm: 20, pencil: null, warm: true },
};
const family = familyOf(['night', 'blue', 'sky']);
const ground = bareGround(whiteBook);
const planned = (effect: string) =>
  fillPaper(compileRecipe(effect, 'base-coat-first', family, context), context, (id) => optics.get(id), ground);
const TOOLS_OF_LAYERS = TOOLS.filter(({ waits }) => !waits);
const ids = () => {
  let next = 0;
  return () => `own-${++next}`;
};
/** What comes out at one tone of a recipe. */
const at = ({ layers }: Recipe, tone: number) =>
  layPasses(
    ground,
    layers.flatMap((layer) => {
      const share = shareInZone(layer.zone, { tone: { value: tone, source: 0 } });
      return share > 0.02 ? passesOf(layer, optics, share) : [];
    }),
  );

describe('a layer that is laid with something else than a pencil', () => {
  for (const { id: effect } of EFFECTS) {
    it(`has its place in the order of a ${effect}, dries, and is found no fault with`, () => {
      const recipe = planned(effect);
      for (const { id: tool, comes, driesMinutes } of TOOLS_OF_LAYERS) {
        const edits = withToolLayer(recipe, tool, ids());
        const own = withEdits(recipe, edits);
        const place = own.layers.findIndex((layer) => layer.id === edits.added[0].id);
        const pencils = own.layers.map(({ tool: each }, i) => (each ? -1 : i)).filter((i) => i >= 0);
        if (comes === 'first') expect(place, tool).to.be.below(Math.min(...pencils));
        if (comes === 'last') expect(place, tool).to.be.above(Math.max(...pencils));
        expect(own.layers[place].dryMinutes, tool).to.equal(driesMinutes);
        expect(toothAfter(own, optics, ground)).to.have.length(own.layers.length);
        const kinds = checkRecipe(own, context, optics, ground).map(({ kind }) => kind);
        expect(kinds, tool).to.not.include.members(['after-pen']);
        for (const kind of ['too-late', 'mask-stays', 'still-wet'])
          expect(kinds, `${tool} ${kind}`).to.not.include(kind);
      }
    });
  }

  it('is worked with a sentence that says how, and for wet work that pulls from pale to dark with a clean end', () => {
    for (const { id, how } of TOOLS_OF_LAYERS) {
      const [layer] = withToolLayer(planned('blend'), id, ids()).added;
      expect(layer.purpose).to.equal(how);
    }
    expect(toolById('solvent').how).to.match(/pale to dark.*clean end/);
    expect(toolById('water').how).to.match(/pale to dark/);
  });

  it('takes the time of its own tool, and none wears a point', () => {
    const laying = { passes: 1, point: 'normal', regions: 1 } as const;
    expect(minutesFor(1000, { ...laying, tool: 'wash' })).to.be.below(0.5 * minutesFor(1000, laying));
    expect(minutesFor(1000, { ...laying, tool: 'colourless-blender' })).to.equal(minutesFor(1000, laying));
  });
});

describe('a layer of a recipe that is laid with a tool instead of its pencil', () => {
  it('with solvent says how long it dries and is worked where it was; with its pencil again it is as before', () => {
    const recipe = planned('blend');
    const solved = withEdits(recipe, layerLaidWith(recipe, 'unify', 'solvent'));
    const unify = solved.layers.find(({ id }) => id === 'unify')!;
    expect(unify).to.include({ tool: 'solvent', dryMinutes: 20 });
    expect(checkRecipe(solved, context, optics, ground).map(({ kind }) => kind)).to.not.include('still-wet');
    const back = withEdits(solved, layerLaidWith(solved, 'unify', null)).layers.find(({ id }) => id === 'unify')!;
    expect([back.tool, back.dryMinutes]).to.deep.equal([undefined, undefined]);
  });

  it('moves to the front where it is a barrier, and to the end where it is a pen', () => {
    const recipe = planned('blend');
    const order = (tool: string) => withEdits(recipe, layerLaidWith(recipe, 'middle', tool)).layers.map(({ id }) => id);
    expect(order('wax-barrier')[0]).to.equal('middle');
    expect(order('opaque-pen').at(-1)).to.equal('middle');
    expect(order('solvent').indexOf('middle')).to.equal(recipe.layers.findIndex(({ id }) => id === 'middle'));
  });
});

describe('what tools do on a page', () => {
  const recipe = planned('blend');
  const withTool = (tool: string) => withEdits(recipe, withToolLayer(recipe, tool, ids()));

  it('a white pen lights the highlight and leaves the shadow as it was', () => {
    const own = withTool('opaque-pen');
    expect(at(own, 0.99).lab[0]).to.be.above(95);
    expect(at(own, 0.1).lab).to.deep.equal(at(recipe, 0.1).lab);
  });

  it('solvent and a colourless blender close the paper further; a solvent without a pencil’s mass', () => {
    const bare = planned('blend').layers.map((layer) => ({ ...layer, passes: 1, pressure: 'light' as const }));
    const open = { ...recipe, layers: bare };
    for (const tool of ['solvent', 'colourless-blender', 'burnisher']) {
      const own = withEdits(open, withToolLayer(open, tool, ids()));
      expect(at(own, 0.3).specks, tool).to.be.below(0.75 * at(open, 0.3).specks);
    }
  });

  it('a marker under pencils gives its colour to what the pencils leave', () => {
    const open = { ...recipe, layers: recipe.layers.slice(0, 1) };
    const edits = withToolLayer(open, 'marker', ids());
    const [layer] = edits.added;
    const own = withEdits(open, { ...edits, added: [{ ...layer, colour: [70, 55, 35] }] });
    expect(oklchOfLab(at(own, 0.5).lab).c).to.be.above(oklchOfLab(at(open, 0.5).lab).c + 0.02);
    expect(at(own, 0.5).lab[1]).to.be.above(at(open, 0.5).lab[1] + 10);
  });
});

describe('a white at the end of a family', () => {
  const whites = familyOf(['night', 'blue', 'sky', 'white']);
  const labOf = (id: string) => (id === 'white' ? ([97, 0, 2] as const) : labOfHex(HEX[id]));
  const unifyOf = (opacity: number) =>
    compileRecipe('blend', 'base-coat-first', whites, { ...context, labOf, opacityOf: () => opacity });

  it('smooths lightly where it is translucent, and is only whispered where it covers and dulls', () => {
    const [smooths, dulls] = [unifyOf(0.3), unifyOf(0.85)];
    expect(smooths.layers.at(-1)).to.include({ pencil: 'white', pressure: 'light' });
    expect(dulls.layers.at(-1)).to.include({ pencil: 'white', pressure: 'whisper' });
    expect(smooths.notes.join(' ')).to.match(/translucent, which smooths/);
    expect(dulls.notes.join(' ')).to.match(/covers and dulls/);
  });
});
