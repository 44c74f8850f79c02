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

/** A region as a window on the page: its own pixels and how far each lies from the edge. */
export interface RegionGeometry {
  /** Window in pixels, right and bottom exclusive. */
  left: number;
  top: number;
  right: number;
  bottom: number;
  pixelsPerMm: number;
  /** Whether the pixel at this offset of the window belongs to the region. */
  inside(offset: number): boolean;
  /** Pixels to the region's edge at this offset of the window. */
  distance(offset: number): number;
  /** Usable width of the region, mm. */
  usableWidthMm: number;
  /** Top and bottom of the whole thing, pixels, for gradients that run over all its regions. */
  thing: { top: number; bottom: number };
}

/** Shading from an edge reaches this far into a wide region, mm; narrower ones are shaded to their middle. */
const SHADE_REACH_MM = 11;

/**
 * The fields of one region. For now a single one: `tone`, 0 (deepest shadow) to 255 (highlight), one byte for each
 * pixel of the window, 0 outside the region.
 * @throws RangeError for a light lower than 5 or higher than 90 degrees.
 */
export function regionFields(geometry: RegionGeometry, form: Form, light: Light): { tone: Uint8Array } {
  if (light.kind === 'direction' && !(light.heightDegrees >= 5 && light.heightDegrees <= 90)) {
    throw new RangeError('The light stands between 5 and 90 degrees above the page.');
  }
  const { left, top, right, bottom, pixelsPerMm, thing } = geometry;
  const across = right - left;
  const tone = new Uint8Array(across * (bottom - top));
  const reach = Math.min((geometry.usableWidthMm * pixelsPerMm) / 2, SHADE_REACH_MM * pixelsPerMm);
  const toLight = facing(geometry, light);
  const onForm = { heightDegrees: light.kind === 'direction' ? light.heightDegrees : null };
  const tall = Math.max(1, thing.bottom - thing.top);
  for (let i = 0; i < tone.length; i++) {
    if (!geometry.inside(i)) continue;
    const x = i % across;
    const y = (i - x) / across;
    const place = {
      depth: Math.min(1, geometry.distance(i) / Math.max(1, reach)),
      facing: toLight(x, y),
      down: Math.min(1, Math.max(0, (top + y + 0.5 - thing.top) / tall)),
    };
    tone[i] = Math.round(255 * Math.min(1, Math.max(0, form.tone(place, onForm))));
  }
  return { tone };
}

/** Position of each pixel between the region's far (-1) and near (1) side as the light sees it. */
function facing(geometry: RegionGeometry, light: Light): (x: number, y: number) => number {
  if (light.kind === 'ambient') return () => 0;
  const angle = (light.azimuthDegrees * Math.PI) / 180;
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  const across = geometry.right - geometry.left;
  let nearest = -Infinity;
  let farthest = Infinity;
  for (let i = 0; i < across * (geometry.bottom - geometry.top); i++) {
    if (!geometry.inside(i)) continue;
    const x = i % across;
    const along = x * dx + ((i - x) / across) * dy;
    if (along > nearest) nearest = along;
    if (along < farthest) farthest = along;
  }
  const middle = (nearest + farthest) / 2;
  const half = Math.max(0.5, (nearest - farthest) / 2);
  return (x, y) => (x * dx + y * dy - middle) / half;
}
