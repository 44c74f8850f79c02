import { type Form } from './forms/index.ts';

/** The one light of a page. */
export type Light =
  | { kind: 'ambient' }
  | {
      kind: 'direction';
      /** Where the light comes from: degrees clockwise from +x, y down, so 270 is from above. */
      azimuthDegrees: number;
      /** Height above the page, 5 (raking) to 90 (overhead) degrees. */
      heightDegrees: number;
    };

/** A region as a window on the page. Arrays are the whole page's, row by row. */
export interface RegionGeometry {
  id: number;
  /** Pixels a row of the page. */
  width: number;
  pixelsPerMm: number;
  /** Region id of each pixel, grown through the lines. */
  grown: Uint16Array;
  /** Pixels from each pixel to the nearest line, 0 on lines. */
  distance: Float32Array;
  /** Window to look in, pixels, right and bottom exclusive. */
  left: number;
  top: number;
  right: number;
  bottom: number;
  /** Usable width of the region, mm. */
  usableWidthMm: number;
  /** Top and bottom of the whole thing, pixels, for gradients that run over all its regions. */
  thing: { top: number; bottom: number };
}

/** Shading from an edge reaches this far into a wide region, mm; narrower ones are shaded to their middle. */
const SHADE_REACH_MM = 11;

/**
 * The fields of one region. For now a single one: `tone`, 0 (deepest shadow) to 255 (highlight), written to the
 * region's pixels of the page-wide array given.
 * @param fields page-wide arrays to write to, one byte a pixel
 * @throws RangeError for a light lower than 5 or higher than 90 degrees.
 */
export function regionFields(geometry: RegionGeometry, form: Form, light: Light, fields: { tone: Uint8Array }): void {
  if (light.kind === 'direction' && !(light.heightDegrees >= 5 && light.heightDegrees <= 90)) {
    throw new RangeError('The light stands between 5 and 90 degrees above the page.');
  }
  const { id, width, grown, distance, left, top, right, bottom, pixelsPerMm, thing } = geometry;
  const reach = Math.max(1, pixelsPerMm * Math.min(geometry.usableWidthMm / 2, SHADE_REACH_MM));
  const { dx, dy, middle, half } = sides(geometry, light);
  const onForm = { heightDegrees: light.kind === 'direction' ? light.heightDegrees : null };
  const tall = Math.max(1, thing.bottom - thing.top);
  const place = { depth: 0, facing: 0, down: 0 };
  for (let y = top; y < bottom; y++) {
    place.down = Math.min(1, Math.max(0, (y + 0.5 - thing.top) / tall));
    for (let x = left, i = y * width + left; x < right; x++, i++) {
      if (grown[i] !== id) continue;
      place.depth = Math.min(1, distance[i] / reach);
      place.facing = Math.min(1, Math.max(-1, (x * dx + y * dy - middle) / half));
      fields.tone[i] = 255 * Math.min(1, Math.max(0, form.tone(place, onForm))) + 0.5;
    }
  }
}

/** Direction to the light, and where the region's middle and sides lie along it, pixels; all 0 for soft light. */
function sides({ id, width, grown, left, top, right, bottom }: RegionGeometry, light: Light) {
  if (light.kind === 'ambient') return { dx: 0, dy: 0, middle: 0, half: 1 };
  const angle = (light.azimuthDegrees * Math.PI) / 180;
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  let nearest = -Infinity;
  let farthest = Infinity;
  for (let y = top; y < bottom; y++) {
    for (let x = left, i = y * width + left; x < right; x++, i++) {
      if (grown[i] !== id) continue;
      const along = x * dx + y * dy;
      if (along > nearest) nearest = along;
      if (along < farthest) farthest = along;
    }
  }
  return { dx, dy, middle: (nearest + farthest) / 2, half: Math.max(0.5, (nearest - farthest) / 2) };
}
