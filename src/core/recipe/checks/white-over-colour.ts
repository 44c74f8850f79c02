import { oklchOfLab } from '../../colour/index.ts';
import { COVERING } from '../own-blender.ts';
import { type Check, startOf } from './check.ts';

/** As pale and as grey as this is white: L* and OKLCH chroma. */
const WHITE = { value: 90, chroma: 0.035 };
/** Colour that white goes milky over: L* below which, and clearer than this. */
const COLOUR = { value: 70, chroma: 0.05 };

/** A white pressed over finished colour turns it milky, one that covers sooner; whispered it only blends. */
export const whiteOverColour: Check = {
  id: 'white-over-colour',
  title: 'White goes over finished colour.',
  find({ recipe: { layers }, places, thickOf, context: { opacityOf } }) {
    for (const { layers: there, labBefore } of places) {
      for (const [k, i] of there.entries()) {
        const { pencil, pressure, role, tool } = layers[i]!;
        if (tool || role === 'white' || pressure === 'whisper' || pressure === 'light') continue;
        const own = thickOf(pencil);
        const white = own[0] >= WHITE.value && oklchOfLab(own).c < WHITE.chroma;
        const [value, chroma] = [labBefore[k]![0], oklchOfLab(labBefore[k]!).c];
        const smooths = (opacityOf?.(pencil) ?? 1) < COVERING && pressure === 'medium';
        if (!white || smooths || value > COLOUR.value || chroma < COLOUR.chroma) continue;
        return {
          sentence: `${startOf(layers, layers[i]!)} is a white, pressed ${pressure} over finished colour: it goes milky.`,
          remedy: 'Whisper it, so that it blends and does not cover.',
          change: { layers: { [layers[i]!.id]: { pressure: 'whisper' } } },
        };
      }
    }
    return null;
  },
};
