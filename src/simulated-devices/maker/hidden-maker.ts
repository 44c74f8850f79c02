import { type Lab, type Spectrum, BANDS, labOfSpectrum, spectrumOfLab } from '../../core/colour/index.ts';
import { type PatchKind, type SwatchGround } from '../../contracts/index.ts';
import { seededRandom } from '../../core/random/index.ts';

/**
 * The one who really made the demo's pencils and laid its swatches. It knows nothing of the product's layer model and
 * shares no constant with it: paper is a relief whose deep places stay deep from layer to layer, tooth fills place by
 * place, a hand of its own presses unevenly, pigments scatter short waves more, tints drift from what the label declares,
 * specks mix by another exponent, and readings are noisy.
 */
export interface MadePencil {
  id: string;
  /** Absorption and scattering of its film, as the batch came out. */
  absorbs: Spectrum;
  scatters: Spectrum;
  type: string;
}

/** The paper under a swatch. */
export interface MadePaper {
  tint: Spectrum;
  rough: number;
}

/** How hard each patch is pressed, pass by pass: a hand that is light where light is meant, and sure where firm is. */
const [LIGHT, MEDIUM, FIRM, FULL] = [0.24, 0.46, 0.82, 1.05];
const PATCH: Readonly<Record<PatchKind, readonly number[]>> = {
  light: [LIGHT],
  medium: [MEDIUM],
  firm: [FIRM],
  full: [FIRM, FIRM, FULL],
  'light-twice': [LIGHT, LIGHT],
  'light-four': [LIGHT, LIGHT, LIGHT, LIGHT],
  'light-eight': [LIGHT, LIGHT, LIGHT, LIGHT, LIGHT, LIGHT, LIGHT, LIGHT],
};
/** Depths of the paper's relief that are told apart, each as common; on smooth paper from 0 to this. */
const DEPTHS = 6;
const DEEPEST = 0.62;
/** A press reaches so deep, and how gradually contact is lost below that. */
const REACHES = { least: 0.14, most: 0.8, power: 0.66, over: 0.17 };
/** Film that a pass leaves where it touches, at the hardest press, and how that grows; what a place holds until full. */
const LEAVES = { most: 2.1, power: 0.8 };
const HOLDS = 6.5;
/** Places are followed by how often they were touched, up to so often. */
const TOUCHES = 10;
/** How much further a type reaches into the paper, and how much it leaves, against wax. */
const REACH: Readonly<Record<string, number>> = { wax: 1.06, oil: 0.96, pastel: 1.15, 'water-soluble': 0.97 };
/** Yule-Nielsen exponent of its specks. */
const SPECK_N = 1.7;
/** The film that a label's colour shows, and the white under it. */
const LABEL = { film: 4.2, under: 0.88 };
/** How much a clear pigment scatters at 560 nm, by film. */
const SCATTERS = 0.034;
/** How steeply its pigments scatter: wavelength over 560 nm to this power. */
const SCATTER_SLOPE = -0.9;
/** Spots averaged over a patch, and how unevenly they are pressed. */
const SPOTS = 7;
const UNEVEN = 0.13;
/** Reflectance of the black bar printed on a swatch card. */
const BAR = 0.045;

/**
 * Makes a pencil from what its label declares; the batch comes out a little off. The same id gives the same pencil.
 * @param declared masstone on the label
 */
export function makePencil(id: string, declared: Lab, type: string, opacity: number): MadePencil {
  const random = seededRandom(hashOf(`batch of ${id}`));
  const [l, a, b] = declared;
  const masstone = spectrumOfLab([
    Math.min(96, l + 1.1 * normal(random)),
    a * (1 + 0.05 * normal(random)) + 0.8 * normal(random),
    b * (1 + 0.05 * normal(random)) + 0.8 * normal(random),
  ]);
  const scatters = masstone.map(
    (_, band) => SCATTERS * 10 ** (0.9 * opacity) * ((380 + 10 * band) / 560) ** SCATTER_SLOPE,
  );
  const absorbs = masstone.map((wanted, band) => absorptionFor(wanted, scatters[band]!));
  return { id, type, absorbs, scatters };
}

/** The absorption at which a film as thick as the label was printed from has this colour on white, by halving. */
function absorptionFor(wanted: number, s: number): number {
  let [low, high] = [-12, 3];
  for (let k = 0; k < 40; k++) {
    const middle = (low + high) / 2;
    if (filmOver(Math.exp(middle), s, LABEL.film, LABEL.under) > wanted) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}

/** One layer of an overlay: laid as a patch is, or pressed so hard pass by pass, 1 for burnishing. */
export interface MadeLayer {
  pencil: MadePencil;
  patch: PatchKind | readonly number[];
}

/** The colour of one patch as it lies on the paper, without the noise of a reading. */
export function layPatch(pencil: MadePencil, paper: MadePaper, patch: PatchKind, ground: SwatchGround): Lab {
  return layOverlay([{ pencil, patch }], paper, ground);
}

/**
 * The colour of patches laid over each other, in order. A place is as deep for each layer as for the one before it; how
 * the hand presses is drawn anew for every spot and pass.
 */
export function layOverlay(layers: readonly MadeLayer[], paper: MadePaper, ground: SwatchGround = 'paper'): Lab {
  const named = layers.map(({ pencil, patch }) => `${pencil.id} ${String(patch)}`).join(' ');
  const random = seededRandom(hashOf(`${named} ${ground} ${paper.rough}`));
  const under = paper.tint.map((tint) => (ground === 'bar' ? BAR : tint));
  const sum = new Float64Array(BANDS);
  for (let spot = 0; spot < SPOTS; spot++) {
    const places = relief(under, paper.rough);
    for (const { pencil, patch } of layers) {
      for (const press of typeof patch === 'string' ? PATCH[patch] : patch) {
        passOver(places, pencil, press * Math.max(0.4, 1 + UNEVEN * normal(random)));
      }
    }
    const shown = places.flatMap(({ touched }) => touched.filter(({ share }) => share > 0));
    for (let band = 0; band < BANDS; band++) {
      let root = 0;
      for (const { share, reflects } of shown) root += share * reflects[band]! ** (1 / SPECK_N);
      sum[band]! += root ** SPECK_N / SPOTS;
    }
  }
  return labOfSpectrum(sum);
}

/** Paper of one depth: how much of it was touched how often, what that reflects, and how much film it holds there. */
interface Place {
  depth: number;
  touched: { share: number; reflects: Spectrum; film: number }[];
}

function relief(under: Spectrum, rough: number): Place[] {
  return Array.from({ length: DEPTHS }, (_, k) => ({
    depth: (DEEPEST * rough * (k + 0.5)) / DEPTHS,
    touched: Array.from({ length: TOUCHES + 1 }, (__, times) => ({
      share: times === 0 ? 1 / DEPTHS : 0,
      reflects: under,
      film: 0,
    })),
  }));
}

/** Lays one pass: what is touched once more takes a film, the less the more it holds, and is seen with what was so before. */
function passOver(places: Place[], pencil: MadePencil, press: number): void {
  const kind = REACH[pencil.type] ?? 1;
  const reaches = (REACHES.least + REACHES.most * press ** REACHES.power) * kind;
  const leaves = LEAVES.most * kind * press ** LEAVES.power;
  for (const { depth, touched } of places) {
    const contact = 1 / (1 + Math.exp((depth - reaches + 0.15) / (REACHES.over * (1.1 - 0.8 * Math.min(1, press)))));
    for (let times = TOUCHES - 1; times >= 0; times--) {
      const from = touched[times]!;
      const moved = from.share * contact;
      if (moved <= 0) continue;
      const film = leaves * Math.max(0.04, 1 - from.film / HOLDS);
      const to = touched[times + 1]!;
      const whole = to.share + moved;
      const reflects = new Float64Array(BANDS);
      for (let band = 0; band < BANDS; band++) {
        const laid = filmOver(pencil.absorbs[band]!, pencil.scatters[band]!, film, from.reflects[band]!);
        reflects[band] = (laid * moved + to.reflects[band]! * to.share) / whole;
      }
      touched[times + 1] = {
        share: whole,
        reflects,
        film: ((from.film + film) * moved + to.film * to.share) / whole,
      };
      touched[times] = { ...from, share: from.share - moved };
    }
  }
}

/** The same patch as an instrument reads it: with `noise` deltaE or so of its own. */
export function readPatch([l, a, b]: Lab, noise: number, random: () => number): Lab {
  return [l + noise * normal(random), a + noise * normal(random), b + noise * normal(random)];
}

/** Reflectance of a film of this thickness over a ground: Kubelka-Munk. */
function filmOver(absorbs: number, scatters: number, thick: number, under: number): number {
  const a = 1 + absorbs / scatters;
  const b = Math.sqrt(a * a - 1);
  const coth = b / Math.tanh(b * scatters * thick);
  return Math.min(1, Math.max(0, (1 - under * (a - coth)) / (a - under + coth)));
}

/** A standard normal number (Box and Muller). */
export function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** A whole number for a text, to seed from (FNV-1a). */
export function hashOf(text: string): number {
  let h = 2166136261;
  for (const letter of text) h = Math.imul(h ^ letter.charCodeAt(0), 16777619);
  return h >>> 1;
}
