import { type PageThing } from '../index.ts';

/** A thing of a page of which nothing is known but its name, everything else middling. */
export function pageThing(id: string, more: Partial<PageThing> = {}): PageThing {
  return {
    id,
    name: id,
    areaMm2: 100,
    widthMm: 6,
    at: { x: 0.5, y: 0.5 },
    focus: false,
    natural: null,
    laid: null,
    alike: null,
    ...more,
  };
}
