import { toolById } from '../../laydown/index.ts';
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

/** Least time to dry before a pencil goes over it, minutes. */
const DRIES_MINUTES = 15;

/** A pencil over paper that is still wet tears it. */
export const stillWet: Check = {
  id: 'still-wet',
  title: 'It is not dry yet.',
  find({ recipe: { layers } }) {
    const wet = layers.find(
      ({ tool, dryMinutes = 0 }, i) =>
        tool && toolById(tool).wets && dryMinutes < DRIES_MINUTES && i < layers.length - 1,
    );
    if (!wet) return null;
    return {
      sentence: `${startOf(layers, wet)} wets it with ${toolById(wet.tool!).name}, and the next goes over it after ${wet.dryMinutes ?? 0} min.`,
      remedy: 'Let it dry for 20 min.',
      change: { layers: { [wet.id]: { dryMinutes: 20 } } },
    };
  },
};
