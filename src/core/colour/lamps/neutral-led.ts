import { type Lamp, whiteDiode } from './lamp.ts';

/** Near 4100 K: its chromaticity is that of CIE LED-B3 (0.3756, 0.3723) to within 0.0005; its bands are modelled. */
export const neutralLed: Lamp = {
  id: 'neutral-led',
  name: 'neutral LED',
  says: 'By a neutral white LED, as desk lamps often are.',
  power: whiteDiode(1.15, { middle: 575, below: 40, above: 44 }),
};
