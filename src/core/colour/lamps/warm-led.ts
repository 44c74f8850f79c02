import { type Lamp, whiteDiode } from './lamp.ts';

/** Near 2700 K: its chromaticity is that of CIE LED-B1 (0.4560, 0.4078) to within 0.0002; its bands are modelled. */
export const warmLed: Lamp = {
  id: 'warm-led',
  name: 'warm LED',
  says: 'By a warm white LED, as most evening lamps are now.',
  power: whiteDiode(0.5, { middle: 595, below: 48, above: 52 }),
};
