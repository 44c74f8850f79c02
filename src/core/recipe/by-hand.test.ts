import { expect } from 'chai';
import fc from 'fast-check';
import { labOfHex } from '../colour/index.ts';
import { TOOLS, bareGround, pencilOptics, whiteBook } from '../laydown/index.ts';
import { FIELDS } from '../light/index.ts';
import {
  type Layer,
  type LayerEdit,
  type RecipeEdits,
  EFFECTS,
  SCHOOLS,
  cardOf,
  cautionsOf,
  checkRecipe,
  compileRecipe,
  consequencesOf,
  editsFromCard,
  familyOf,
  fieldsOf,
  mergedEdits,
  toothAfter,
  withEdits,
} from './index.ts';

const HEX: Record<string, string> = {
  peat: '#3d2a22',
  ochre: '#c6913a',
  lamp: '#f2c21d',
  night: '#22315f',
  sky: '#b5d4ea',
};
const optics = new Map(
  Object.entries(HEX).map(([id, hex]) => [id, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]),
);
const context = { regions: [{ usableWidthMm: 8, areaMm2: 60 }] };
const family = familyOf(['peat', 'ochre', 'lamp']);
const recipe = compileRecipe('blend', 'base-coat-first', family, context);
const ids = recipe.layers.map(({ id }) => id);
const has = (id: string) => id in HEX;

const layerEdit: fc.Arbitrary<LayerEdit> = fc.record(
  {
    pressure: fc.constantFrom('whisper', 'light', 'medium', 'firm'),
    passes: fc.integer({ min: 1, max: 6 }),
    from: fc.double({ min: 0, max: 1, noNaN: true }),
    to: fc.double({ min: 0, max: 1, noNaN: true }),
    pencil: fc.constantFrom(...Object.keys(HEX)),
  },
  { requiredKeys: [] },
);
const edits: fc.Arbitrary<RecipeEdits> = fc.record(
  {
    layers: fc.dictionary(fc.constantFrom(...ids, 'gone'), layerEdit),
    without: fc.subarray([...ids, 'gone']),
    order: fc.shuffledSubarray([...ids, 'gone']),
  },
  { requiredKeys: [] },
);

describe('a layer of a person’s own', () => {
  const light = (field: Layer['zone']['field']): Layer => ({
    ...recipe.layers[0],
    id: `own-${field}`,
    zone: { field, overMm: 5, from: 0, to: 0.5, softnessMm: 1 },
  });

  it('outlives every change of effect: it looks at what the effect looks at, and a note says so', () => {
    for (const { id } of EFFECTS) {
      const plain = compileRecipe(id, 'base-coat-first', family, context);
      for (const field of FIELDS) {
        const added = [light('glow'), light(field)].filter(
          ({ id: own }, i, all) => all.findIndex((each) => each.id === own) === i,
        );
        const edited = withEdits(plain, { added });
        expect(edited.layers.map((layer) => layer.id)).to.include.members(added.map((layer) => layer.id));
        expect(fieldsOf(edited.layers).length, `${id} ${field}`).to.be.at.most(2);
        const moved = added.filter(
          (layer) => edited.layers.find((each) => each.id === layer.id)!.zone.field !== layer.zone.field,
        );
        expect(edited.notes.length - plain.notes.length).to.equal(moved.length);
      }
    }
  });

  it('may wet the paper: what comes out is what comes out of waiting, and the check says to wait', () => {
    for (const { id: tool } of TOOLS.filter(({ wets, coloured }) => wets && !coloured)) {
      for (const dryMinutes of [undefined, 5, 30]) {
        const wet: Layer = { ...light('tone'), tool, dryMinutes, passes: 2 };
        const wetted = withEdits(recipe, { added: [wet], order: [ids[0], wet.id, ...ids.slice(1)] });
        const ground = bareGround(whiteBook);
        expect(toothAfter(wetted, optics, ground)).to.have.length(ids.length + 1);
        const found = checkRecipe(wetted, context, optics, ground).map(({ kind }) => kind);
        expect(found.includes('still-wet')).to.equal((dryMinutes ?? 0) < 15);
      }
    }
  });
});

describe('changes to a recipe', () => {
  it('never lose a layer that is not left out, and never make an interval that is none', () => {
    fc.assert(
      fc.property(edits, (own) => {
        const { layers } = withEdits(recipe, own);
        expect(layers.map(({ id }) => id)).to.have.members(ids.filter((id) => !own.without?.includes(id)));
        for (const { zone } of layers) expect(zone.from).to.be.below(zone.to);
      }),
      { numRuns: 500 },
    );
  });

  it('made one after the other are the same as made at once', () => {
    fc.assert(
      fc.property(edits, edits, (first, second) => {
        const merged = mergedEdits(first, second);
        const both = withEdits(recipe, merged).layers.map(({ id }) => id);
        const gone = new Set([...(first.without ?? []), ...(second.without ?? [])]);
        expect(both).to.have.members(ids.filter((id) => !gone.has(id)));
        expect(mergedEdits(merged, {})).to.deep.equal(merged);
      }),
    );
  });

  it('put layers in the order asked for; one that it does not name stays after the one it followed', () => {
    const order = ['shadow', 'base', 'middle', 'deepen', 'unify'];
    expect(withEdits(recipe, { order }).layers.map(({ id }) => id)).to.deep.equal(order);
    const added = [{ ...recipe.layers[0], id: 'own-1' }];
    const withOwn = withEdits(recipe, { added, order: ['shadow', 'own-1', 'base', 'middle', 'unify'] });
    expect(withOwn.layers.map(({ id }) => id)).to.deep.equal(['shadow', 'own-1', 'base', 'middle', 'deepen', 'unify']);
  });

  it('take a layer of one’s own out for good, and bring one that was left out back by adding it', () => {
    const own = { ...recipe.layers[0], id: 'own-1' };
    expect(mergedEdits({ added: [own] }, { without: ['own-1'] }).added).to.equal(undefined);
    expect(mergedEdits({ without: ['own-1'] }, { added: [own] }).without).to.equal(undefined);
  });

  it('outlive another effect: what they say of layers that are not there is left out', () => {
    const snow = compileRecipe('snow', 'base-coat-first', family, context);
    const changed = withEdits(snow, { layers: { middle: { passes: 5 } }, order: ['unify', 'shadow'] });
    expect(changed.layers.map(({ id }) => id)).to.have.members(snow.layers.map(({ id }) => id));
  });
});

describe('what a change does', () => {
  const ground = bareGround(whiteBook);

  it('is nothing where nothing changed', () => {
    const same = consequencesOf(recipe, recipe, optics, ground)!;
    expect(same.colour).to.be.below(1e-3);
    expect(same.toothAfter).to.equal(same.toothBefore);
  });

  it('is told where it is largest, and by how much it darkens and fills the paper', () => {
    const heavier = withEdits(recipe, { layers: { deepen: { passes: 4 } } });
    const told = consequencesOf(recipe, heavier, optics, ground)!;
    expect(told.colour).to.be.above(1);
    expect(told.value).to.be.below(0);
    expect(told.where.tone!.value).to.be.below(0.3);
    expect(told.toothAfter).to.be.below(told.toothBefore);
  });

  it('cannot be told of recipes that look at too much together', () => {
    const looking = (effect: string) => compileRecipe(effect, 'base-coat-first', family, context);
    expect(consequencesOf(looking('cloud'), looking('lit-by-glow'), optics, ground)).to.equal(null);
  });
});

describe('a recipe card', () => {
  const own: RecipeEdits = {
    layers: { shadow: { pencil: 'ochre', softnessMm: 2, passes: 3 }, unify: { pressure: 'medium' } },
    without: ['deepen'],
    added: [{ ...recipe.layers[1], id: 'own-1', pencil: 'night', purpose: 'Indigo in the deepest.' }],
  };
  const card = cardOf(recipe, family, own);

  it('laid on the thing that it came from gives the same layers again', () => {
    fc.assert(
      fc.property(edits, fc.constantFrom(...SCHOOLS), (changes, { id }) => {
        const made = compileRecipe('blend', id, family, context);
        const back = editsFromCard(cardOf(made, family, changes), made, family, has);
        expect(withEdits(made, back.edits).layers).to.deep.equal(withEdits(made, changes).layers);
        expect(back.lost).to.deep.equal([]);
      }),
    );
  });

  it('fits another family by its places and another width by its scale', () => {
    const wide = compileRecipe('blend', 'base-coat-first', familyOf(['night', 'sky']), {
      regions: [{ usableWidthMm: 24, areaMm2: 400 }],
    });
    const { edits: fitted } = editsFromCard(card, wide, familyOf(['night', 'sky']), has);
    expect(fitted.layers!.shadow.pencil).to.equal('sky');
    expect(fitted.layers!.shadow.softnessMm).to.equal(6);
    expect(withEdits(wide, fitted).layers.map(({ id }) => id))
      .to.include('own-1')
      .and.not.include('deepen');
  });

  it('says what it wants that is not here, and lays the rest', () => {
    const { edits: fitted, lost } = editsFromCard(card, recipe, family, (id) => id !== 'night');
    expect(fitted.added).to.deep.equal([]);
    expect(lost).to.deep.equal(['The layer “Indigo in the deepest.” wants a pencil that is not in this tray.']);
  });
});

describe('cautions', () => {
  it('come with pastels, with tools and with a heavy hand, and with nothing else', () => {
    const layer = { pressure: 'light' as const, passes: 1 };
    expect(cautionsOf(layer, 'wax')).to.deep.equal([]);
    expect(cautionsOf(layer, 'pastel').join()).to.contain('never blow');
    expect(cautionsOf({ ...layer, tool: 'water' }, 'wax').join()).to.contain('test on a spare page');
    expect(cautionsOf({ ...layer, pressure: 'burnish' }, 'wax').join()).to.contain('pain is a reason to stop');
  });
});
