import { type Lab, oklchOfLab, turnBetween } from '../colour/index.ts';
import { type EffectLayers, type RegionContext } from './effects/index.ts';
import type { Layer } from './schemas.ts';

/** Clearer than this, OKLCH chroma, a pencil has a hue that counts. */
const CLEAR = 0.05;
/** A blender within so many degrees of hue of one of the family belongs to it. */
const OWN = 70;
/** Violets, OKLCH hue, are blended by pinks and peaches. */
const VIOLET = { from: 285, to: 335 };
const PINK = { from: -25, to: 70 };
/** As pale and as grey as this is white: L* and OKLCH chroma, laid medium. */
const WHITE = { value: 88, chroma: 0.035 };
/** From this opacity on a pencil covers what it goes over; below it, it glazes. */
export const COVERING = 0.6;

/** The layer that unifies a family with one pencil over all of it; undefined where none does. */
export function unifyingLayer(layers: readonly Layer[]): Layer | undefined {
  return layers.find(({ role, id, tool }) => !tool && (role === 'blender' || id === 'unify'));
}

/**
 * Whether a blender brings a hue that none of a family's other pencils has: it is applied over its own family only, but
 * violets want a pink or a peach.
 */
export function isOfAnotherHue(blender: Lab, others: readonly Lab[]): boolean {
  const { c, h } = oklchOfLab(blender);
  const hues = others.map((lab) => oklchOfLab(lab)).filter((each) => each.c > CLEAR);
  if (c < CLEAR || hues.length === 0) return false;
  const within = ({ from, to }: { from: number; to: number }, hue: number) => (hue - from + 720) % 360 <= to - from;
  if (within(PINK, h) && hues.some((each) => within(VIOLET, each.h))) return false;
  return hues.every((each) => Math.abs(turnBetween(each.h, h)) > OWN);
}

/** Pencils of the family itself that a blender goes over. */
export function familyLayers(layers: readonly Layer[]): Layer[] {
  return layers.filter(({ role, tool }) => !tool && (role === 'dark' || role === 'mid' || role === 'light'));
}

/**
 * A family from a small tray may end in a pencil of another hue, or in a white: then the palest of its own hue unifies
 * it. A white that covers is only whispered; one that is translucent smooths, lightly.
 */
export function withOwnBlender({ layers, notes }: EffectLayers, { labOf, opacityOf }: RegionContext): EffectLayers {
  const unify = unifyingLayer(layers);
  const own = unify && labOf?.(unify.pencil);
  if (!unify || !own || !labOf) return { layers, notes };
  const others = familyLayers(layers).flatMap(({ pencil }) => {
    const lab = pencil === unify.pencil ? undefined : labOf(pencil);
    return lab ? [{ pencil, lab }] : [];
  });
  const changed = (change: Partial<Layer>, says: string): EffectLayers => ({
    layers: layers.map((layer) => (layer === unify ? { ...layer, ...change } : layer)),
    notes: [...notes, says],
  });
  if (
    isOfAnotherHue(
      own,
      others.map(({ lab }) => lab),
    )
  ) {
    const { pencil } = others.reduce((a, b) => (b.lab[0] > a.lab[0] ? b : a));
    return changed({ pencil }, 'Its palest pencil is of another hue, so the palest of its own unifies it.');
  }
  const isWhite = own[0] >= WHITE.value && oklchOfLab(own).c < WHITE.chroma;
  if (!isWhite || others.length === 0 || unify.pressure === 'whisper') return { layers, notes };
  const opacity = opacityOf?.(unify.pencil);
  if (opacity !== undefined && opacity < COVERING) {
    const says = 'Its palest pencil is nearly white and translucent, which smooths: it goes lightly over the others.';
    return unify.pressure === 'light' ? { layers, notes } : changed({ pressure: 'light' }, says);
  }
  const says = 'Its palest pencil is nearly white, covers and dulls, so it is only whispered over the others.';
  return changed({ pressure: 'whisper' }, says);
}
