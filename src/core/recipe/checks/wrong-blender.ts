import { oklchOfLab, turnBetween } from '../../colour/index.ts';
import { type Check, startOf } from './check.ts';

/** Clearer than this, OKLCH chroma, a pencil has a hue that counts. */
const CLEAR = 0.05;
/** A blender within so many degrees of hue of one of the family belongs to it. */
const OWN = 70;
/** Violets, OKLCH hue, are blended by pinks and peaches. */
const VIOLET = { from: 285, to: 335 };
const PINK = { from: -25, to: 70 };

/** A blender is applied over its own family only; violets want a pink or a peach. */
export const wrongBlender: Check = {
  id: 'wrong-blender',
  title: 'The blender is of another family.',
  find({ recipe: { layers }, labOf }) {
    const blender = layers.find(({ role, id, tool }) => !tool && (role === 'blender' || id === 'unify'));
    if (!blender) return null;
    const own = layers.filter(({ role, tool }) => !tool && (role === 'dark' || role === 'mid' || role === 'light'));
    const others = own.filter(({ pencil }) => pencil !== blender.pencil);
    const { c, h } = oklchOfLab(labOf(blender.pencil));
    const hues = others.map(({ pencil }) => oklchOfLab(labOf(pencil))).filter((each) => each.c > CLEAR);
    if (c < CLEAR || hues.length === 0) return null;
    const within = ({ from, to }: { from: number; to: number }, hue: number) => (hue - from + 720) % 360 <= to - from;
    const pinkOnViolet = within(PINK, h) && hues.some((each) => within(VIOLET, each.h));
    if (pinkOnViolet || hues.some((each) => Math.abs(turnBetween(each.h, h)) <= OWN)) return null;
    const lightest = others.reduce((a, b) => (labOf(b.pencil)[0] > labOf(a.pencil)[0] ? b : a));
    return {
      sentence: `${startOf(layers, blender)} unifies it with a hue that no other layer has.`,
      remedy: 'Unify it with the lightest of its own family.',
      change: { layers: { [blender.id]: { pencil: lightest.pencil } } },
    };
  },
};
