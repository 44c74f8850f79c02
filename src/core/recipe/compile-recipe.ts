import { type EffectLayers, type RegionContext, effectById, usualWidth } from './effects/index.ts';
import type { Family, Layer } from './schemas.ts';
import { type Recipe } from './recipe.ts';
import { withCastShadow } from './cast-shadow.ts';
import { heldBack } from './held-back.ts';
import { withLimbBehind } from './limb-behind.ts';
import { withMarks } from './marks.ts';
import { withOwnBlender } from './own-blender.ts';
import { pulled } from './pulled.ts';
import { withReflectedRim } from './reflected-rim.ts';
import { schoolById } from './schools/index.ts';
import { withoutRefining } from './unimportant.ts';
import { fieldsOf } from './zone.ts';

/** On paper darker than this, L*, a highlight that stays paper does not read as light. */
const PALE_PAPER = 85;

/** Colour beside lettering fades over so many mm. An assumption of craft. */
const FADES_BY_LETTERS_MM = 3;

/**
 * Compiles an effect to the layers of one thing, in the order of a school or in its own.
 * @param effectId id of an effect
 * @param schoolId id of a school
 * @param family one to eight pencils from dark to light, with or without blender, depth, accent and neutral
 * @param context the widths and areas of the thing's regions, and what is known of its light, paper and neighbours
 * @throws RangeError for an unknown effect or school, or when there is no region
 */
export function compileRecipe(effectId: string, schoolId: string, family: Family, context: RegionContext): Recipe {
  if (context.regions.length === 0) throw new RangeError('A recipe needs at least one region to be fitted to.');
  const whole = effectById(effectId).lay(schoolById(schoolId), family, context);
  const { jumps = false } = effectById(effectId);
  // A metal lives of its darks, however far off.
  const held = jumps ? whole : withLimbBehind(heldBack(whole, context.far), context);
  const laid = withOwnBlender(context.minor ? withoutRefining(held) : held, context);
  const marked = withMarks(withHighlight(laid, context), family, context);
  const shadowed = withCastShadow(marked, effectId, family, context);
  const { layers, notes } = withReflectedRim(shadowed, effectId, context);
  const { lettering = [] } = context;
  const faded =
    lettering.length === 0
      ? notes
      : [
          ...notes,
          `Fade it within ${FADES_BY_LETTERS_MM} mm of ${lettering.join(' and ')}: lettering stays the clearest.`,
        ];
  const laidSo = pulled(layers, effectById(effectId));
  return {
    effect: effectId,
    school: schoolId,
    layers: laidSo,
    notes: faded,
    halfWidthMm: Math.max(0.5, usualWidth(context) / 2),
  };
}

/** On toned paper the highlight that an effect leaves bare is laid with a white pencil, last. */
function withHighlight({ layers, notes }: EffectLayers, { paperValue = 100, white }: RegionContext): EffectLayers {
  const field = fieldsOf(layers).find((each) => each === 'tone' || each === 'glow');
  const reserved = layers.flatMap(({ zone }) => (zone.field === field && zone.to < 1 ? [zone] : []));
  const entered = layers.some(({ zone }) => zone.field === field && zone.from > 0 && zone.to >= 1);
  if (paperValue >= PALE_PAPER || !field || reserved.length === 0 || entered) return { layers, notes };
  if (!white) {
    const says =
      'This paper is too dark for its highlights to stay bare, and no white pencil that covers is in the tray.';
    return { layers, notes: [...notes, says] };
  }
  const { to, softnessMm, overMm } = reserved.reduce((a, b) => (b.to > a.to ? b : a));
  const highlight: Layer = {
    id: 'highlight',
    role: 'white',
    pencil: white,
    pressure: 'firm',
    passes: 2,
    zone: { field, from: to, to: 1, softnessMm, overMm },
    stroke: layers.at(-1)!.stroke,
    point: 'sharp',
    fromWidthMm: 0,
    purpose: 'White for the highlight: this paper is too dark to be one.',
  };
  return { layers: [...layers, highlight], notes };
}

/** The layers that a region of this width has room for, in order. */
export function layersFor(recipe: Recipe, usableWidthMm: number): Layer[] {
  return recipe.layers.filter((layer) => usableWidthMm >= layer.fromWidthMm);
}
