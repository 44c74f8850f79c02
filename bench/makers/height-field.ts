import { BANDS, type Spectrum, labOfHex, labOfSpectrum, spectrumOfLab } from '../../src/core/colour/index.ts';
import { type Pressure } from '../../src/core/laydown/index.ts';
import { seededRandom } from '../../src/core/random/index.ts';
import { type Label, type Maker } from './maker.ts';

/** Points of the paper that are followed one by one. */
const POINTS = 400;
/** How hard this hand presses. */
const PRESS: Readonly<Record<Pressure, number>> = { whisper: 0.13, light: 0.27, medium: 0.5, firm: 0.78, burnish: 1 };
/** How soft the lead of a type is, and how much it leaves. */
const SOFT: Readonly<Record<string, number>> = { wax: 1.15, oil: 1, pastel: 1.3, 'water-soluble': 1 };
/** Mass that a point takes before it is slick. */
const SLICK = 3.4;
/** Dark bar of a card. */
const BAR = 0.042;

/**
 * A sheet of hills and pits. Lead is worn off where it meets a hill, the more the higher that stands, and slides where
 * much lies already. Light passes the film twice and is partly thrown back from within it; eyes add up the light of all
 * points.
 */
export const heightField: Maker = {
  id: 'height-field',
  says: 'a field of heights, lead worn off on hills until they are slick, light added up point by point',
  lay(passes, paper, on) {
    const random = seededRandom(77);
    const under = spectrumOfLab(labOfHex(paper.tint)).map((value) => (on === 'bar' ? BAR : value));
    const sum = new Float64Array(BANDS);
    for (let point = 0; point < POINTS; point++) {
      // Heights lie evenly from the highest to the deepest, each with a pit or a fibre of its own.
      const depth = paper.rough * (0.9 * ((point + 0.5) / POINTS) ** 1.3) + 0.08 * (random() - 0.5);
      let seen: Spectrum = under;
      let lies = 0;
      for (const { pencil, pressure } of passes) {
        const soft = SOFT[pencil.type] ?? 1;
        // No stroke goes over every point: where the lead passed is drawn anew.
        const reaches = (0.16 + 0.95 * PRESS[pressure] ** 0.8) * soft * (0.55 + 0.9 * random());
        const worn = Math.max(0, reaches - depth);
        const mass =
          3.2 * worn * PRESS[pressure] ** 0.35 * soft * (0.05 + 0.95 * Math.exp(-lies / (SLICK * paper.tooth)));
        if (mass <= 0) continue;
        seen = throughFilm(pencil, mass, seen);
        lies += mass;
      }
      for (let band = 0; band < BANDS; band++) sum[band] += seen[band] / POINTS;
    }
    return labOfSpectrum(sum);
  },
};

const WHITE = spectrumOfLab(labOfHex('#f4f2ec'));
/** Mass at which the label's colour was printed. */
const LABELLED = 4;
const known = new Map<string, { body: Spectrum; hides: number }>();

/**
 * A film that lets through what its pigment leaves and throws back light of its pigment's colour as far as it hides.
 */
function throughFilm(pencil: Label, mass: number, below: Spectrum): Spectrum {
  const key = `${pencil.colour.join()} ${pencil.opacity}`;
  let film = known.get(key);
  if (!film) {
    const hides = 0.012 + 0.09 * pencil.opacity ** 2;
    known.set(key, (film = { body: spectrumOfLab(pencil.colour), hides }));
  }
  const thrown = 1 - Math.exp(-film.hides * mass);
  const atLabel = 1 - Math.exp(-film.hides * LABELLED);
  return below.map((value, band) => {
    const wanted = film.body[band];
    // What is let through at the label's mass, so that white paper under it comes to the label's colour.
    const through = Math.min(1, Math.max(1e-4, (wanted - atLabel * wanted) / ((1 - atLabel) * WHITE[band])));
    return (1 - thrown) * value * through ** (mass / LABELLED) + thrown * wanted;
  });
}
