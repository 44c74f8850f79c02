import { type Region, distanceTo } from '../lineart/index.ts';
import { type Form, formById } from './forms/index.ts';
import { type Light, regionFields } from './region-fields.ts';

/** What the tone of a page is computed from. */
export interface PageGeometry {
  width: number;
  height: number;
  pixelsPerMm: number;
  /** Region id of each pixel. */
  labels: Uint16Array;
  regions: readonly Region[];
}

/** A thing as light needs it: its regions and its form's id. */
export interface FormedThing {
  regionIds: readonly number[];
  form: string;
}

/** The tone of every pixel of a page, 0 (deepest shadow) to 255 (highlight); regions outside every thing are taken as raised. */
export function pageTone(page: PageGeometry, things: readonly FormedThing[], light: Light): Uint8Array {
  const { width, height, pixelsPerMm, labels, regions } = page;
  const edges = new Uint8Array(labels.length);
  for (let i = 0; i < labels.length; i++) edges[i] = labels[i] === 0 ? 1 : 0;
  const distance = distanceTo(edges, width, height);
  const tone = new Uint8Array(labels.length);
  const formOf = formsByRegion(page, things);
  for (const region of regions) {
    const { form, top, bottom } = formOf.get(region.id) ?? {
      form: formById('raised'),
      ...boxOf([region], pixelsPerMm),
    };
    const window = boxOf([region], pixelsPerMm);
    const across = window.right - window.left;
    const at = (offset: number) => (window.top + Math.floor(offset / across)) * width + window.left + (offset % across);
    const fields = regionFields(
      {
        ...window,
        pixelsPerMm,
        usableWidthMm: region.usableWidthMm,
        inside: (offset) => labels[at(offset)] === region.id,
        distance: (offset) => distance[at(offset)],
        thing: { top, bottom },
      },
      form,
      light,
    );
    for (let i = 0; i < fields.tone.length; i++) {
      const j = at(i);
      if (labels[j] === region.id) tone[j] = fields.tone[i];
    }
  }
  return tone;
}

interface FormAndExtent {
  form: Form;
  top: number;
  bottom: number;
}

function formsByRegion(page: PageGeometry, things: readonly FormedThing[]): Map<number, FormAndExtent> {
  const byId = new Map(page.regions.map((region) => [region.id, region]));
  const out = new Map<number, FormAndExtent>();
  for (const thing of things) {
    const own = thing.regionIds.flatMap((id) => byId.get(id) ?? []);
    if (own.length === 0) continue;
    const { top, bottom } = boxOf(own, page.pixelsPerMm);
    for (const region of own) out.set(region.id, { form: formById(thing.form), top, bottom });
  }
  return out;
}

/** The window of pixels that holds all these regions, right and bottom exclusive. */
function boxOf(regions: readonly Region[], pixelsPerMm: number) {
  const px = (mm: number) => Math.round(mm * pixelsPerMm);
  return {
    left: Math.min(...regions.map((r) => px(r.box.left))),
    top: Math.min(...regions.map((r) => px(r.box.top))),
    right: Math.max(...regions.map((r) => px(r.box.right))),
    bottom: Math.max(...regions.map((r) => px(r.box.bottom))),
  };
}
