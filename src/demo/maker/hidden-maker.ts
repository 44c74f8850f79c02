import { type Lab, type Spectrum, BANDS, labOfSpectrum, spectrumOfLab } from '../../core/colour/index.ts';
import { type PatchKind, type SwatchGround } from '../../contracts/index.ts';
import { seededRandom } from '../../core/random/index.ts';

/**
 * The one who really made the demo's pencils and laid its swatches. It knows nothing of the product's layer model and
 * shares no constant with it: pigments scatter short waves more, tints drift from what the label declares, specks mix
 * by another exponent, the hand is uneven within a patch and readings are noisy.
 */
export interface MadePencil {
  id: string;
  /** Reflectance of its colour infinitely thick, as the batch came out. */
  masstone: Spectrum;
  type: string;
  opacity: number;
}

/** The paper under a swatch. */
export interface MadePaper {
  tint: Spectrum;
  rough: number;
}

/** Thickness of the film that each patch leaves, and the share of the paper under it, on smooth paper. */
const PATCH: Readonly<Record<PatchKind, { thick: number; cover: number }>> = {
  light: { thick: 0.5, cover: 0.42 },
  medium: { thick: 1, cover: 0.62 },
  firm: { thick: 1.9, cover: 0.84 },
  full: { thick: 5, cover: 0.985 },
};
/** How much of the paper a type covers at the same press, against wax. */
const REACH: Readonly<Record<string, number>> = { wax: 1.1, oil: 0.94, pastel: 1.25, 'water-soluble': 0.95 };
/** Yule-Nielsen exponent of its specks. */
const SPECK_N = 1.7;
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
  return { id, masstone, type, opacity };
}

/** One layer of an overlay. */
export interface MadeLayer {
  pencil: MadePencil;
  patch: PatchKind;
}

/** The colour of one patch as it lies on the paper, without the noise of a reading. */
export function layPatch(pencil: MadePencil, paper: MadePaper, patch: PatchKind, ground: SwatchGround): Lab {
  return layOverlay([{ pencil, patch }], paper, ground);
}

/**
 * The colour of patches laid over each other, in order. Each layer covers its share of whatever is below it; how the
 * hand presses is drawn anew for every spot and layer.
 */
export function layOverlay(layers: readonly MadeLayer[], paper: MadePaper, ground: SwatchGround = 'paper'): Lab {
  const named = layers.map(({ pencil, patch }) => `${pencil.id} ${patch}`).join(' ');
  const random = seededRandom(hashOf(`${named} ${ground} ${paper.rough}`));
  const sum = new Float64Array(BANDS);
  for (let spot = 0; spot < SPOTS; spot++) {
    const presses = layers.map(() => Math.max(0.4, 1 + UNEVEN * normal(random)));
    for (let band = 0; band < BANDS; band++) {
      const under = ground === 'bar' ? BAR : paper.tint[band];
      let places = [{ share: 1, reflects: under }];
      layers.forEach(({ pencil, patch }, i) => {
        const { thick, cover } = PATCH[patch];
        const covered = 1 - (1 - cover) ** (((REACH[pencil.type] ?? 1) * presses[i]) / paper.rough);
        const s = scatterOf(pencil, band) * thick * presses[i];
        places = places.flatMap(({ share, reflects }) => [
          { share: share * (1 - covered), reflects },
          { share: share * covered, reflects: filmOver(pencil.masstone[band], s, reflects) },
        ]);
      });
      sum[band] +=
        places.reduce((whole, { share, reflects }) => whole + share * reflects ** (1 / SPECK_N), 0) ** SPECK_N;
    }
  }
  return labOfSpectrum(sum.map((value) => value / SPOTS));
}

function scatterOf({ opacity }: MadePencil, band: number): number {
  return 0.2 * 10 ** (0.7 * opacity) * ((380 + 10 * band) / 560) ** SCATTER_SLOPE;
}

/** The same patch as an instrument reads it: with `noise` deltaE or so of its own. */
export function readPatch([l, a, b]: Lab, noise: number, random: () => number): Lab {
  return [l + noise * normal(random), a + noise * normal(random), b + noise * normal(random)];
}

/** Reflectance of a film over a ground: Kubelka-Munk, from the colour it would have infinitely thick. */
function filmOver(thickest: number, s: number, under: number): number {
  const r = Math.min(0.985, Math.max(0.004, thickest));
  const a = (1 / r + r) / 2;
  const b = Math.sqrt(a * a - 1);
  const coth = b / Math.tanh(b * s);
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
