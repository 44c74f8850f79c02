import { type Lamp, powerOf } from './lamp.ts';

/** 2856 K, CIE illuminant A. Source: M. Planck's law, with the second radiation constant of CIE 015:2018, 1.4388e-2 m K. */
export const incandescent: Lamp = {
  id: 'incandescent',
  name: 'incandescent bulb',
  says: 'By a glowing filament, halogen too: blues sink, reds and oranges come forward.',
  power: powerOf((nm) => 1e15 / nm ** 5 / (Math.exp(1.4388e7 / (nm * 2856)) - 1)),
};
