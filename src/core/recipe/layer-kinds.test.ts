import { expect } from 'chai';
import { EFFECTS, SCHOOLS, compileRecipe, familyOf } from './index.ts';
import { LAYER_KINDS, alwaysStays, worthOf } from './layer-kinds.ts';
import { ROLES } from './roles.ts';

const context = { regions: [{ usableWidthMm: 12, areaMm2: 200 }], white: 'white' };
const family = familyOf(['peat', 'ochre', 'lamp']);

describe('kinds of layers', () => {
  it('are laid by several effects each: a name that one effect alone uses is no kind', () => {
    const laidBy = new Map<string, Set<string>>();
    for (const { id: effect } of EFFECTS) {
      for (const { id: school } of SCHOOLS) {
        for (const { id } of compileRecipe(effect, school, family, context).layers) {
          laidBy.set(id, (laidBy.get(id) ?? new Set()).add(effect));
        }
      }
    }
    for (const { id } of LAYER_KINDS) expect(laidBy.get(id)?.size ?? 0, id).to.be.above(1);
  });

  it('are worth something between nothing and all, whatever a layer is called and its pencil does', () => {
    for (const role of ROLES) {
      for (const id of ['highlight', ...LAYER_KINDS.map((kind) => kind.id)]) {
        expect(worthOf({ id, role })).to.be.within(0.1, 1);
      }
    }
  });

  it('include the shadow, which no page can do without', () => {
    expect(LAYER_KINDS.filter(alwaysStays).map(({ id }) => id)).to.deep.equal(['shadow']);
    expect(worthOf({ id: 'shadow', role: 'dark' })).to.equal(1);
  });
});
