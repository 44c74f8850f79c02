/** effects: one file an effect; to add one, write its file and list it here. */
import { materialOf } from '../../light/index.ts';
import { backlit } from './backlit.ts';
import { baseWash } from './base-wash.ts';
import { blend } from './blend.ts';
import { calmedNeutral } from './calmed-neutral.ts';
import { cloud } from './cloud.ts';
import { cutGem } from './cut-gem.ts';
import { domedGem } from './domed-gem.ts';
import { type Effect, type LightOnThing } from './effect.ts';
import { eye } from './eye.ts';
import { flame } from './flame.ts';
import { furByDensity } from './fur-by-density.ts';
import { fur } from './fur.ts';
import { glass } from './glass.ts';
import { coolGlow, warmGlow } from './glow-rings.ts';
import { hammeredMetal } from './hammered-metal.ts';
import { leafWithVeins } from './leaf-with-veins.ts';
import { lightSource } from './light-source.ts';
import { litByGlow } from './lit-by-glow.ts';
import { longGradient, longGradientByStep } from './long-gradient.ts';
import { metalFromOnePencil } from './metal-from-one-pencil.ts';
import { mixedNeutral } from './mixed-neutral.ts';
import { pearl } from './pearl.ts';
import { petal } from './petal.ts';
import { polishedMetal } from './polished-metal.ts';
import { raisedDots } from './raised-dots.ts';
import { satinMetal } from './satin-metal.ts';
import { sideFace } from './side-face.ts';
import { skin } from './skin.ts';
import { snow } from './snow.ts';
import { stillWater } from './still-water.ts';
import { stone } from './stone.ts';
import { wood } from './wood.ts';

export { overMm, usualWidth } from './fit.ts';
export { type Effect, type EffectLayers, type LightOnThing, type RegionContext } from './effect.ts';
/** Every effect that a family can be made to show, the usual one first. */
export const EFFECTS: readonly Effect[] = [
  blend,
  longGradient,
  longGradientByStep,
  warmGlow,
  coolGlow,
  lightSource,
  flame,
  litByGlow,
  backlit,
  polishedMetal,
  satinMetal,
  hammeredMetal,
  metalFromOnePencil,
  cutGem,
  domedGem,
  pearl,
  glass,
  stillWater,
  snow,
  cloud,
  leafWithVeins,
  petal,
  fur,
  furByDensity,
  skin,
  eye,
  stone,
  wood,
  raisedDots,
  sideFace,
  calmedNeutral,
  mixedNeutral,
  baseWash,
];

/** Effects that nearly coincide are one with a choice: the first of each, and those that are none. */
export const EFFECT_HEADS: readonly Effect[] = EFFECTS.filter(
  (effect, i) => !effect.choice || EFFECTS.findIndex((other) => other.choice?.of === effect.choice?.of) === i,
);

/** Every way in which an effect is laid, the effect itself among them; none where it has no others. */
export function choicesOf({ choice }: Effect): readonly Effect[] {
  return choice ? EFFECTS.filter((other) => other.choice?.of === choice.of) : [];
}

/**
 * The effect with this id.
 * @throws RangeError when there is none.
 */
export function effectById(id: string): Effect {
  const effect = EFFECTS.find((e) => e.id === id);
  if (!effect) throw new RangeError(`There is no effect called "${id}".`);
  return effect;
}

/**
 * The effect that a material and the light ask for: first one that is asked for by just this light or form, then one of
 * the material that has an order of its own, then the light's; a blend where nothing is asked.
 */
export function proposeEffect(material: string | null, lit: LightOnThing = { glow: null, backlit: false }): string {
  const asked = EFFECTS.find(({ isAsked }) => isAsked?.(lit, materialOf(material)));
  if (asked) return asked.id;
  const own = EFFECTS.find(({ suits }) => material !== null && suits.includes(material));
  if (own && !own.bySchool) return own.id;
  if (lit.backlit) return backlit.id;
  if (own) return own.id;
  return lit.glow ? litByGlow.id : blend.id;
}
