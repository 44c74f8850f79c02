import { type Role } from '../roles.ts';
import { inOrder } from './blend.ts';
import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** How far into the light each of the family's own goes: its dark keeps furthest off, its light goes everywhere. */
const KEEPS_OFF: Readonly<Partial<Record<Role, number>>> = { dark: 0.45, depth: 0.35, neutral: 0.45, mid: 0.65 };

/** A thing beside a glow: its own family, deeper on the side away from the light; the light is mapped first and ends lightest. */
export const litByGlow: Effect = {
  id: 'lit-by-glow',
  name: 'glow on a subject',
  says: 'The light is mapped first in its own colour; the family follows, deepest where no glow reaches.',
  suits: [],
  bySchool: true,
  leavesBare: SMOOTH,
  lay(school, family, context) {
    const pencil = context.glow?.pencil ?? family.accent ?? family.pencils.at(-1)!;
    const own = inOrder({ ...family, accent: null }, school.sketch).map((layer): LayerDraft => {
      const to = KEEPS_OFF[layer.role];
      return to === undefined ? layer : { ...layer, and: { field: 'lit', from: 0, to, fades: 0.45 } };
    });
    const mapped: LayerDraft = {
      id: 'glow',
      role: 'glow',
      pencil,
      pressure: 'light',
      passes: 2,
      field: 'lit',
      from: 0.35,
      to: 1,
      fades: 0.4,
      bands: 1,
      purpose: 'The light, mapped first with its own colour: on the sides that face it, less with the way from it.',
    };
    const last = own.at(-1);
    const unifies = last !== undefined && last.id === 'unify';
    // Where the light falls its colour stays on top: the family is unified beside it.
    const away = { field: 'lit' as const, from: 0, to: 0.4, fades: 0.4 };
    const plain = [mapped, ...(unifies ? [...own.slice(0, -1), { ...last, and: away }] : own)];
    const notes = context.glow
      ? []
      : ['No glow of this sheet falls here: set one at Light, and it shows on this side.'];
    return { layers: fitted(plain, context), notes };
  },
};
