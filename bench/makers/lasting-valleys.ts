import { BANDS, type Spectrum, labOfHex, labOfSpectrum, spectrumOfLab } from '../../src/core/colour/index.ts';
import { type Pressure } from '../../src/core/laydown/index.ts';
import { seededRandom } from '../../src/core/random/index.ts';
import { type Label, type Maker } from './maker.ts';

/** Share of the surface that a pass of each pressure gets to, of hills, slopes and valleys. */
const REACHES: Readonly<Record<Pressure, readonly [hills: number, slopes: number, valleys: number]>> = {
  whisper: [0.5, 0.2, 0.04],
  light: [0.72, 0.38, 0.12],
  medium: [0.88, 0.6, 0.27],
  firm: [0.98, 0.88, 0.6],
  burnish: [1, 0.995, 0.96],
};
/** Film that a pass leaves where it gets to. */
const LEAVES: Readonly<Record<Pressure, number>> = {
  whisper: 0.22,
  light: 0.45,
  medium: 0.8,
  firm: 1.25,
  burnish: 1.7,
};
/** Hills, slopes and valleys of smooth paper, by area; film each takes before hardly any more stays. */
const AREAS = [0.4, 0.36, 0.24];
const HOLDS = [3.2, 4.4, 6];
/** A waxy film blooms: a pale veil that grows with it, by type. */
const BLOOM: Readonly<Record<string, number>> = { wax: 0.006, oil: 0.001, pastel: 0, 'water-soluble': 0.002 };
const STICKS: Readonly<Record<string, number>> = { wax: 1.1, oil: 0.92, pastel: 1.3, 'water-soluble': 0.95 };
const BAR = 0.05;
/** Specks and pigment are fused by this power of their light. */
const FUSES = 2.3;
const SPOTS = 3;

/** Paper of three lasting levels, tooth that fills level by level, red light scattered more than blue, and a wax bloom. */
export const lastingValleys: Maker = {
  id: 'lasting-valleys',
  says: 'hills, slopes and valleys that last, each with a tooth of its own, pigments that scatter red more, wax that blooms',
  lay(passes, paper, on) {
    const random = seededRandom(31 + passes.length);
    const under = spectrumOfLab(labOfHex(paper.tint)).map((value) => (on === 'bar' ? BAR : value));
    const deeper = 0.5 * (paper.rough - 1);
    const areas = [AREAS[0] - deeper * 0.5, AREAS[1] - deeper * 0.2, AREAS[2] + deeper * 0.7];
    const sum = new Float64Array(BANDS);
    for (let spot = 0; spot < SPOTS; spot++) {
      // What was touched is told apart from what was not, level by level: share bare, colour of the rest, film on it.
      const levels = areas.map((area) => ({ area, bare: 1, covered: under, film: 0 }));
      for (const { pencil, pressure } of passes) {
        const uneven = 1 + 0.16 * (random() + random() - 1);
        levels.forEach((level, k) => {
          const touched = Math.min(1, REACHES[pressure][k] * uneven ** 0.5);
          const room = Math.max(0.05, 1 - level.film / (HOLDS[k] * paper.tooth));
          const film = LEAVES[pressure] * (STICKS[pencil.type] ?? 1) * uneven * room;
          const fresh = filmOver(pencil, film, under);
          const over = filmOver(pencil, film, level.covered);
          const [newly, again, kept] = [
            level.bare * touched,
            (1 - level.bare) * touched,
            (1 - level.bare) * (1 - touched),
          ];
          const whole = newly + again + kept;
          level.covered = level.covered.map(
            (value, band) => (newly * fresh[band] + again * over[band] + kept * value) / whole,
          );
          level.film = (newly * film + again * (level.film + film) + kept * level.film) / whole;
          level.bare *= 1 - touched;
        });
      }
      for (let band = 0; band < BANDS; band++) {
        const root = levels.reduce(
          (all, { area, bare, covered }) =>
            all + area * (bare * under[band] ** (1 / FUSES) + (1 - bare) * covered[band] ** (1 / FUSES)),
          0,
        );
        sum[band] += root ** FUSES / SPOTS;
      }
    }
    return labOfSpectrum(sum);
  },
};

const WHITE = spectrumOfLab(labOfHex('#f4f2ec'));
const LABELLED = 4.5;
const pigments = new Map<string, { absorbs: Spectrum; scatters: Spectrum }>();

function filmOver(pencil: Label, film: number, below: Spectrum): Spectrum {
  const key = `${pencil.colour.join()} ${pencil.type} ${pencil.opacity}`;
  let own = pigments.get(key);
  if (!own) pigments.set(key, (own = pigmentOf(pencil)));
  const bloom = (BLOOM[pencil.type] ?? 0) * film;
  return below.map((value, band) => (1 - bloom) * reflects(own.absorbs[band], own.scatters[band], film, value) + bloom);
}

function pigmentOf({ colour, opacity }: Label) {
  const body = spectrumOfLab(colour);
  const scatters = body.map((_, band) => (0.012 + 0.16 * opacity ** 1.8) * ((380 + 10 * band) / 560) ** 0.8);
  const absorbs = body.map((wanted, band) => {
    let [low, high] = [1e-6, 20];
    for (let k = 0; k < 48; k++) {
      const middle = Math.sqrt(low * high);
      if (reflects(middle, scatters[band], LABELLED, WHITE[band]) > wanted) low = middle;
      else high = middle;
    }
    return Math.sqrt(low * high);
  });
  return { absorbs, scatters };
}

/** A film of two streams of light, down and up, in steps: what comes back from the top. */
function reflects(absorbs: number, scatters: number, film: number, below: number): number {
  const steps = 8;
  const thin = film / steps;
  let r = below;
  // dR/dx = S - 2 (K + S) R + S R^2, the equation of two streams, by Heun's method.
  for (let k = 0; k < steps; k++) {
    const slope = (at: number) => scatters - 2 * (absorbs + scatters) * at + scatters * at * at;
    const first = slope(r);
    r = Math.min(1, Math.max(0, r + (thin * (first + slope(Math.max(0, r + thin * first)))) / 2));
  }
  return r;
}
