import { inOrder } from './blend.ts';
import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** A thing beside a glow: its own family, deeper on the side away from the light, and the light's colour facing it. */
export const litByGlow: Effect = {
  id: 'lit-by-glow',
  name: 'glow on a subject',
  says: 'Its own family, deepest where no glow reaches; the colour of the light goes over the side that faces it.',
  suits: [],
  bySchool: true,
  lay(school, family, context) {
    const pencil = context.glow?.pencil ?? family.accent ?? family.pencils.at(-1)!;
    const own = inOrder({ ...family, accent: null }, school.sketch).map((layer): LayerDraft =>
      layer.role === 'dark' ? { ...layer, and: { field: 'lit', from: 0, to: 0.55, fades: 0.5 } } : layer,
    );
    const light: LayerDraft = {
      id: 'glow',
      role: 'glow',
      pencil,
      pressure: 'light',
      passes: 1,
      field: 'lit',
      from: 0.4,
      to: 1,
      fades: 0.4,
      bands: 1,
      purpose: 'The colour of the light, on the sides that face it and less with the way from it.',
    };
    const last = own.at(-1);
    const unifies = last !== undefined && last.id === 'unify';
    // Where the light falls its colour unifies the family in place of the lightest.
    const away = { field: 'lit' as const, from: 0, to: 0.4, fades: 0.4 };
    const plain = unifies ? [...own.slice(0, -1), light, { ...last, and: away }] : [...own, light];
    const notes = context.glow
      ? []
      : ['No glow of this sheet falls here: set one at Light, and it shows on this side.'];
    return { layers: fitted(plain, context), notes };
  },
};
