/** effects: one file an effect; to add one, write its file and list it here. */
import { backlit } from './backlit.ts';
import { baseWash } from './base-wash.ts';
import { blend } from './blend.ts';
import { calmedNeutral } from './calmed-neutral.ts';
import { cloud } from './cloud.ts';
import { cutGem } from './cut-gem.ts';
import { domedGem } from './domed-gem.ts';
import { type Effect } from './effect.ts';
import { eye } from './eye.ts';
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
export { type Effect, type Laid, type RegionContext } from './effect.ts';
/** Every effect that a family can be made to show, the usual one first. */
export const EFFECTS: readonly Effect[] = [
  blend,
  longGradient,
  longGradientByStep,
  warmGlow,
  coolGlow,
  lightSource,
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
  baseWash,
];

/**
 * The effect with this id.
 * @throws RangeError when there is none.
 */
export function effectById(id: string): Effect {
  const effect = EFFECTS.find((e) => e.id === id);
  if (!effect) throw new RangeError(`There is no effect called "${id}".`);
  return effect;
}

/** What light does to a thing, as far as its effect depends on it. */
export interface Lit {
  /** A glow that falls on it: whether that is warm, and how much of the thing it reaches, 0..1. */
  glow: { warm: boolean; share: number } | null;
  /** Whether it stands before a light. */
  backlit: boolean;
  /** Id of its form. Default unknown. */
  form?: string;
}

/** A glow that reaches so much of a sky makes rings of it. */
const RINGED = 0.4;
/** The effect that a material and the light ask for: a blend where neither does. */
export function proposeEffect(
  material: string | null,
  { glow, backlit: before, form }: Lit = { glow: null, backlit: false },
): string {
  if (material === 'gem' && form === 'faceted') return cutGem.id;
  if (glow && material === 'sky' && glow.share >= RINGED) return glow.warm ? warmGlow.id : coolGlow.id;
  const own = EFFECTS.find(({ suits }) => material !== null && suits.includes(material));
  if (own && !own.bySchool) return own.id;
  if (before) return backlit.id;
  if (own) return own.id;
  return glow ? litByGlow.id : blend.id;
}
