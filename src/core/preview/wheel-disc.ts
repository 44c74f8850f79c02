import { hueOfWheel, labOfOklch, labOfSpectrum, rgbOfLab } from '../colour/index.ts';
import { type Paper, bareGround, layPasses, pencilOptics } from '../laydown/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { TILE, paperGrain } from './grain.ts';
import { type Shade, pigmentShare, shadeOf } from './shade.ts';

/** Chroma (OKLCH) at the rim of the wheel; pencils are plotted on the same scale. */
export const RIM_CHROMA = 0.2;
/** Bare paper is left within this share of the radius. */
export const HUB = 0.14;
const SECTORS = 72;
const RINGS = 24;

/**
 * The painter's wheel as it would be laid with pencils on this paper: a notional pencil for every five degrees,
 * pressed harder from the middle to the rim, yellow at the top, running clockwise through orange to red.
 * @param size side in pixels; outside the disc is transparent
 */
export function wheelDisc(paper: Paper, size: number): RgbaImage {
  const ground = bareGround(paper);
  const bare = rgbOfLab(labOfSpectrum(ground.bare));
  const shades: Shade[][] = Array.from({ length: SECTORS }, (_, sector) => {
    const angle = (360 / SECTORS) * sector;
    const hue = hueOfWheel(angle);
    const l = 0.62 + 0.2 * Math.cos((angle * Math.PI) / 180);
    const pencil = pencilOptics({ masstone: labOfOklch({ l, c: 0.19, h: hue }), type: 'wax', opacity: 0.35 });
    return Array.from({ length: RINGS }, (_, ring) => {
      const pressure = 0.06 + 0.94 * (ring / (RINGS - 1)) ** 1.3;
      return shadeOf(
        layPasses(ground, [
          { pencil, pressure },
          { pencil, pressure },
        ]).ground,
        bare,
      );
    });
  });
  const data = new Uint8ClampedArray(4 * size * size);
  const mask = TILE - 1;
  const middle = size / 2;
  for (let y = 0, p = 0; y < size; y++) {
    for (let x = 0; x < size; x++, p += 4) {
      const dx = x + 0.5 - middle;
      const dy = y + 0.5 - middle;
      const radius = Math.hypot(dx, dy) / middle;
      if (radius > 1) continue;
      const angle = ((Math.atan2(dx, -dy) * 180) / Math.PI + 360) % 360;
      const grain = paperGrain[(y & mask) * TILE + (x & mask)];
      const out = (radius - HUB) / (1 - HUB);
      // The rim is ragged as a hand leaves it: what the last strokes miss there is not paper but nothing.
      if (out > 0.975 && grain < (out - 0.975) * 10000) continue;
      const ring = Math.min(RINGS - 1, Math.max(0, Math.floor(out * RINGS)));
      const shade = shades[Math.round((angle / 360) * SECTORS) % SECTORS][ring];
      const share = out < 0 ? 0 : pigmentShare(grain, shade.specks);
      for (let c = 0; c < 3; c++) data[p + c] = bare[c] + (shade.covered[c] - bare[c]) * share;
      data[p + 3] = 255;
    }
  }
  return { width: size, height: size, data };
}
