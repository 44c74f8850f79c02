import { familyLayers, isOfAnotherHue, unifyingLayer } from '../own-blender.ts';
import { type Check, startOf } from './check.ts';

/** A blender is applied over its own family only; violets want a pink or a peach. */
export const wrongBlender: Check = {
  id: 'wrong-blender',
  title: 'The blender is of another family.',
  find({ recipe: { layers }, labOf }) {
    const blender = unifyingLayer(layers);
    if (!blender) return null;
    const others = familyLayers(layers).filter(({ pencil }) => pencil !== blender.pencil);
    if (
      !isOfAnotherHue(
        labOf(blender.pencil),
        others.map(({ pencil }) => labOf(pencil)),
      )
    )
      return null;
    const lightest = others.reduce((a, b) => (labOf(b.pencil)[0] > labOf(a.pencil)[0] ? b : a));
    return {
      sentence: `${startOf(layers, blender)} unifies it with a hue that no other layer has.`,
      remedy: 'Unify it with the lightest of its own family.',
      change: { layers: { [blender.id]: { pencil: lightest.pencil } } },
    };
  },
};
