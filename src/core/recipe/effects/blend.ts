import type { Family } from '../schemas.ts';
import { type Sketch } from '../schools/index.ts';
import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** A smooth passage from the family's dark to its light. */
export const blend: Effect = {
  id: 'blend',
  name: 'blend',
  says: 'A smooth passage from the dark pencil through the mid to the light one.',
  suits: [],
  bySchool: true,
  leavesBare: SMOOTH,
  lay: (school, family, context) => ({ layers: fitted(inOrder(family, school.sketch), context), notes: [] }),
};

/** A school's order with the pencils of one family: its middle ones share the middle, its extras come where they belong. */
export function inOrder(family: Family, sketch: readonly Sketch[]): LayerDraft[] {
  const { pencils, blender, depth, accent, neutral } = family;
  const [dark, light] = [pencils[0]!, pencils.at(-1)!];
  const shadow = sketch.findIndex(({ role }) => role === 'dark');
  const lastMid = sketch.findLastIndex(({ role }) => role === 'mid');
  // What stands beside the family in its shadow shares the tooth that its own pencils would have.
  const crowded = [depth, neutral].filter(Boolean).length > 1 || (Boolean(depth) && pencils.length > 4);
  // Several middle pencils have used the tooth that a layer of its own would need: the depth puts the deepest dark back.
  const putsBack = depth && pencils.length >= 4 ? sketch.findIndex(({ id }) => id === 'deepen') : -1;
  return sketch.flatMap((own, i): LayerDraft[] => {
    const last = i === sketch.length - 1;
    const each = crowded && own.role !== 'light' ? { ...own, passes: Math.max(1, own.passes - 1) } : own;
    if (each.role === 'mid')
      return [...middles(each, pencils, sketch[shadow]!.to), ...(i === lastMid ? touches() : [])];
    // A single pencil has nothing to unify.
    if (last && each.role === 'light' && pencils.length === 1 && !blender) return [];
    if (i === putsBack) return [{ ...each, role: 'depth', pencil: depth! }];
    const plain: LayerDraft = { ...each, pencil: each.role === 'dark' ? dark : light };
    if (last && each.role === 'light' && blender) return [...deeper(), { ...plain, role: 'blender', pencil: blender }];
    return [
      ...(last ? deeper() : []),
      ...(i === shadow ? reserved() : []),
      plain,
      ...(i === shadow ? calming(each) : []),
    ];
  });

  function calming({ to }: Sketch): LayerDraft[] {
    if (!neutral) return [];
    const purpose = 'Calms the shadow; colour goes over it again.';
    return [extra('neutral', neutral, { from: 0, to: to + 0.06, pressure: 'light', bands: 2, purpose })];
  }
  function reserved(): LayerDraft[] {
    if (!accent) return [];
    const purpose = 'Reserves the accent: whispered before anything covers its place, so that it ends clear.';
    const first = extra('accent', accent, { from: 0.2, to: 0.42, pressure: 'whisper', bands: 3, purpose });
    return [{ ...first, id: 'accent-first' }];
  }
  function touches(): LayerDraft[] {
    if (!accent) return [];
    const purpose = 'Touches of another hue where the form turns into shadow.';
    return [extra('accent', accent, { from: 0.2, to: 0.42, pressure: 'light', bands: 3, purpose })];
  }
  function deeper(): LayerDraft[] {
    if (!depth || putsBack >= 0) return [];
    const purpose = 'Deepens the innermost shadow.';
    return [extra('depth', depth, { from: 0, to: 0.14, pressure: 'medium', bands: 3, purpose })];
  }
}

function extra(
  role: 'depth' | 'accent' | 'neutral',
  pencil: string,
  rest: Omit<LayerDraft, 'id' | 'role' | 'pencil' | 'passes'>,
): LayerDraft {
  return { id: role, role, pencil, passes: 1, ...rest };
}

/** One layer for each pencil between the darkest and the lightest, the darker the nearer to the shadow. */
function middles(each: Sketch, pencils: readonly string[], shadowTo: number): LayerDraft[] {
  const between = pencils.length > 2 ? pencils.slice(1, -1) : pencils.slice(-1);
  return between.map((pencil, k) => {
    const to = shadowTo + ((each.to - shadowTo) * (k + 1)) / between.length;
    // Several share the tooth that one would have.
    const passes = between.length > 1 ? 1 : each.passes;
    return { ...each, id: k === 0 ? each.id : `${each.id}-${k + 1}`, pencil, passes, to: Math.round(100 * to) / 100 };
  });
}
