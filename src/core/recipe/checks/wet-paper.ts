import { toolById } from '../../laydown/index.ts';
import type { Layer } from '../schemas.ts';
import { type Check, startOf } from './check.ts';

/** Paper thinner than this warps when it gets wet. */
const STANDS_WATER_GSM = 160;

/** Water on paper that does not stand it. */
export const wetPaper: Check = {
  id: 'wet-paper',
  title: 'This paper may not stand water.',
  find({ recipe: { layers }, paper: { weightGsm, waterSafe, inkRuns } }) {
    const wet = layers.filter(({ tool }) => tool && toolById(tool).watery);
    if (wet.length === 0) return null;
    const thin = waterSafe === null && weightGsm !== null && weightGsm < STANDS_WATER_GSM;
    const why =
      waterSafe === false
        ? 'does not stand water'
        : inkRuns
          ? 'has ink that runs'
          : thin
            ? `weighs ${weightGsm} g/m² and warps`
            : null;
    if (!why) return null;
    return {
      sentence: `${startOf(layers, wet[0]!)} wets it, and this paper ${why}.`,
      remedy: 'Keep it dry: leave the wet layer out. What dissolves stays a dry base.',
      change: { without: wet.map(({ id }) => id) },
    };
  },
};

/** A shorter wait than this share of what a tool wants to dry is too short. */
const SOON = 0.75;

/** A pencil over paper that is still wet tears it, and a pen that is not dry is smeared. */
export const stillWet: Check = {
  id: 'still-wet',
  title: 'It is not dry yet.',
  find({ recipe: { layers } }) {
    const isTooSoon = ({ tool, dryMinutes = 0 }: Layer) => {
      if (!tool) return false;
      const { driesMinutes = 0 } = toolById(tool);
      return dryMinutes < SOON * driesMinutes;
    };
    const wet = layers.find((layer, i) => isTooSoon(layer) && i < layers.length - 1);
    if (!wet) return null;
    const { name, wets, driesMinutes } = toolById(wet.tool!);
    return {
      sentence: `${startOf(layers, wet)} ${wets ? `wets it with ${name}` : `is ${name}`}, and the next goes over it after ${wet.dryMinutes ?? 0} min.`,
      remedy: `Let it dry for ${driesMinutes} min.`,
      change: { layers: { [wet.id]: { dryMinutes: driesMinutes } } },
    };
  },
};
