import { labOfRgb, rgbOfLab } from '../../colour/index.ts';
import { type View, pixelwise } from './view.ts';

export const value: View = {
  id: 'value',
  name: 'value only',
  says: 'Without hue: what is light, what is dark, and whether the form reads.',
  of: pixelwise((rgb) => {
    const [, grey] = rgbOfLab([labOfRgb(rgb)[0], 0, 0]);
    return [grey, grey, grey];
  }),
};
