import type { ColourMeter, MeterRequest } from '../contracts/index.ts';
import { deltaE2000, type Lab } from '../core/colour/index.ts';
import { seededRandom } from '../core/random/index.ts';
import { type Labelled, hashOf, layPatch, made, madePaper, readPatch } from './maker/index.ts';
import { METER_FAULTS } from './quality.ts';

const FLASHES = 3;
const BAD = [
  'Light leaked in under the meter. Lay it flat and read again.',
  'The meter moved while it read. Hold it still and read again.',
  'The patch is smaller than the opening. Lay the meter on its middle and read again.',
];

/**
 * A colour meter that only pretends: it must warm up after it was switched on, reads with a little noise, and now and
 * then reads badly and says so.
 * @param pencilOf the pencil whose patch it is laid on
 * @param now milliseconds; it is switched on with its first reading
 */
export function simulatedMeter(pencilOf: (request: MeterRequest) => Promise<Labelled>, now: () => number): ColourMeter {
  let switchedOn: number | null = null;
  return {
    device: { id: 'simulated-meter', kind: 'meter', name: 'Simulated colour meter', simulated: true },
    async read(request) {
      const { noise, badReadings, warmUpSeconds } = METER_FAULTS[request.quality];
      switchedOn ??= now();
      const secondsLeft = warmUpSeconds - (now() - switchedOn) / 1000;
      if (secondsLeft > 0) return { kind: 'warming up', secondsLeft: Math.ceil(secondsLeft) };
      const { pencilId, paper, patch, ground, seed } = request;
      const random = seededRandom(hashOf(`${pencilId} ${paper} ${patch} ${ground} ${seed}`));
      if (random() < badReadings) return { kind: 'bad reading', why: BAD[Math.floor(random() * BAD.length)]! };
      const lies = layPatch(made(await pencilOf(request)), madePaper(paper), patch, ground);
      const flashes = Array.from({ length: FLASHES }, () => readPatch(lies, noise, random));
      const lab = mean(flashes);
      return { kind: 'reading', lab, spread: Math.max(...flashes.map((flash) => deltaE2000(flash, lab))) };
    },
  };
}

function mean(labs: readonly Lab[]): Lab {
  const sum = (i: 0 | 1 | 2) => labs.reduce((total, lab) => total + lab[i], 0) / labs.length;
  return [sum(0), sum(1), sum(2)];
}
