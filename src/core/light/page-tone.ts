import { type Region, LINE_REACH_MM } from '../lineart/index.ts';
import { type Form, formById } from './forms/index.ts';
import { type Light, regionFields } from './region-fields.ts';

/** What the tone of a page is computed from. Arrays are row by row. */
export interface PageGeometry {
  width: number;
  height: number;
  pixelsPerMm: number;
  /** Region id of each pixel, grown through the lines. */
  grown: Uint16Array;
  /** Pixels from each pixel to the nearest line, 0 on lines. */
  distance: Float32Array;
  regions: readonly Region[];
}

/** A thing as light needs it: its regions and its form's id. */
export interface FormedThing {
  regionIds: readonly number[];
  form: string;
}

/** The tone of every pixel of a page, 0 (deepest shadow) to 255 (highlight); regions outside every thing are taken as raised. */
export function pageTone(page: PageGeometry, things: readonly FormedThing[], light: Light): Uint8Array {
  const tone = new Uint8Array(page.grown.length);
  const formOf = formsByRegion(page, things);
  const raised = formById('raised');
  for (const region of page.regions) {
    const own = boxOf([region], page.pixelsPerMm);
    const { form, thing } = formOf.get(region.id) ?? { form: raised, thing: own };
    regionFields(
      { ...page, id: region.id, usableWidthMm: region.usableWidthMm, ...grownBox(own, page), thing },
      form,
      light,
      {
        tone,
      },
    );
  }
  return tone;
}

function formsByRegion(page: PageGeometry, things: readonly FormedThing[]) {
  const byId = new Map(page.regions.map((region) => [region.id, region]));
  const out = new Map<number, { form: Form; thing: { top: number; bottom: number } }>();
  for (const { regionIds, form } of things) {
    const own = regionIds.flatMap((id) => byId.get(id) ?? []);
    if (own.length === 0) continue;
    const thing = boxOf(own, page.pixelsPerMm);
    for (const region of own) out.set(region.id, { form: formById(form), thing });
  }
  return out;
}

interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The window of pixels that holds all these regions, right and bottom exclusive. */
function boxOf(regions: readonly Region[], pixelsPerMm: number): Box {
  const px = (mm: number) => Math.round(mm * pixelsPerMm);
  return {
    left: Math.min(...regions.map((r) => px(r.box.left))),
    top: Math.min(...regions.map((r) => px(r.box.top))),
    right: Math.max(...regions.map((r) => px(r.box.right))),
    bottom: Math.max(...regions.map((r) => px(r.box.bottom))),
  };
}

/** A window with room for what a region grows into the lines around it. */
function grownBox({ left, top, right, bottom }: Box, { width, height, pixelsPerMm }: PageGeometry): Box {
  const reach = Math.ceil(LINE_REACH_MM * pixelsPerMm);
  return {
    left: Math.max(0, left - reach),
    top: Math.max(0, top - reach),
    right: Math.min(width, right + reach),
    bottom: Math.min(height, bottom + reach),
  };
}
