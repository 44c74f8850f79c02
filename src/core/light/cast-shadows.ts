import type { MainLight } from './schemas.ts';
import { type PageGeometry, coarsePage, coarseness } from './page.ts';

/** How far things are taken to stand above what lies behind them, mm: so far a shadow reaches under a light at 45 degrees. */
const LIFT_MM = 2.4;
/** No shadow is longer, mm: under a raking light it would run across the page. */
const LONGEST_MM = 9;
/** In soft light the shadow lies close all round, mm. */
const CONTACT_MM = 1.3;

/**
 * The shadows that things cast on what lies behind them: darkest beside what casts them, fading away from it; under a
 * light from a side away from the light, in soft light close all round. A light from behind casts none that are seen.
 * @param orderOf for each region id where it lies from front (0) to behind; what is equal casts none on each other
 * @param takes for each region id whether a shadow is seen on it: not on a sky, and not on what glows
 * @returns for each pixel 0 (none) to 255
 */
export function castShadows(
  page: PageGeometry,
  orderOf: Float64Array,
  takes: Uint8Array,
  light: MainLight,
): Uint8Array {
  if (light.kind === 'behind') return new Uint8Array(page.grown.length);
  const step = coarseness(page);
  const coarse = coarsePage(page, step);
  const ways = light.kind === 'direction' ? [towards(light, coarse)] : allRound(coarse);
  const shadow = new Uint8Array(coarse.grown.length);
  for (const way of ways) look(coarse, way, orderOf, takes, shadow);
  return step === 1 ? shadow : enlarged(page, coarse, shadow, step);
}

/** A way to look for what casts a shadow: pixels one after the other, and how much it counts. */
interface Way {
  dx: Int32Array;
  dy: Int32Array;
  weight: number;
}

function towards(light: Extract<MainLight, { kind: 'direction' }>, { pixelsPerMm }: PageGeometry): Way {
  const reachMm = Math.min(LONGEST_MM, LIFT_MM / Math.tan((light.heightDegrees * Math.PI) / 180));
  return wayAt(light.azimuthDegrees, reachMm * pixelsPerMm, 1);
}

function allRound({ pixelsPerMm }: PageGeometry): Way[] {
  return [0, 45, 90, 135, 180, 225, 270, 315].map((degrees) => wayAt(degrees, CONTACT_MM * pixelsPerMm, 0.3));
}

function wayAt(degrees: number, reach: number, weight: number): Way {
  const angle = (degrees * Math.PI) / 180;
  const length = Math.max(1, Math.floor(reach));
  return {
    dx: Int32Array.from({ length }, (_, k) => Math.round((k + 1) * Math.cos(angle))),
    dy: Int32Array.from({ length }, (_, k) => Math.round((k + 1) * Math.sin(angle))),
    weight,
  };
}

function look(
  { width, height, grown, distance }: PageGeometry,
  { dx, dy, weight }: Way,
  orderOf: Float64Array,
  takes: Uint8Array,
  shadow: Uint8Array,
): void {
  const reach = dx.length;
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      const own = grown[i]!;
      if (distance[i]! > reach + 1 || !takes[own]) continue;
      const order = orderOf[own]!;
      // No other region lies nearer than the nearest line.
      for (let k = Math.max(0, Math.floor(distance[i]!) - 1); k < reach; k++) {
        const px = x + dx[k]!;
        const py = y + dy[k]!;
        if (px < 0 || py < 0 || px >= width || py >= height) break;
        const other = grown[py * width + px]!;
        if (other === own || orderOf[other]! >= order) continue;
        shadow[i] = Math.min(255, shadow[i]! + 255 * weight * (1 - k / reach));
        break;
      }
    }
  }
}

/** A coarse field at full size; a pixel takes it from a coarse one of its own region beside it, or nothing. */
function enlarged(page: PageGeometry, coarse: PageGeometry, field: Uint8Array, step: number): Uint8Array {
  const out = new Uint8Array(page.grown.length);
  for (let y = 0, i = 0; y < page.height; y++) {
    const above = Math.floor(y / step) * coarse.width;
    const below = above + coarse.width < field.length ? above + coarse.width : above;
    for (let x = 0; x < page.width; x++, i++) {
      const own = page.grown[i];
      const left = Math.floor(x / step);
      const right = left + 1 < coarse.width ? left + 1 : left;
      for (const at of [above + left, above + right, below + left, below + right]) {
        if (coarse.grown[at] !== own) continue;
        out[i] = field[at]!;
        break;
      }
    }
  }
  return out;
}
