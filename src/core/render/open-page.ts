import { LRUCache } from 'lru-cache';
import {
  type FieldSamples,
  type FormedThing,
  type Highlight,
  type Lighting,
  type PageFields,
  type PageGeometry,
  coarsePageOf,
  lightOfPage,
  sampleFields,
} from '../light/index.ts';
import { type InkShare, type PageIndex, coarseInkShare } from '../lineart/index.ts';
import { type Painted, type ToneStack } from '../preview/index.ts';
import { OpticsStore } from './optics-store.ts';

/** A page at every so many pixels with what light does on it. */
export interface LitPage extends PageGeometry {
  fields: PageFields;
  highlights: readonly Highlight[];
}

/** The page at one size, and the light on it by what that was worked out for. */
interface Sized {
  geometry: PageGeometry;
  ink: InkShare | null;
  key: string;
  lit: LitPage | null;
}

/** So many stacks of tones are kept; a large page of many things uses a few hundred. */
const MOST_TABLES = 600;

/** Light is sampled at so many pixels a mm. */
const SAMPLED_PER_MM = 2.5;

/** A first look and an exact one, and both at another size. */
const MOST_PICTURES = 4;

/** A page that pictures are made of, with all that one of them worked out and the next can use. */
export class OpenPage {
  readonly index: PageIndex;
  readonly optics: OpticsStore;
  /** The last pictures of the whole page, by how it was looked at: what looks the same in the next is not painted again. */
  readonly lastPainted = new LRUCache<string, Painted>({ max: MOST_PICTURES });
  readonly #sizes = new Map<number, Sized>();
  readonly #tables = new Map<string, ToneStack>();

  /** @param optics shared with other pages; default its own */
  constructor(index: PageIndex, optics = new OpticsStore()) {
    this.index = index;
    this.optics = optics;
  }

  /** Stacks of tones by what they are built from. */
  get tables(): Map<string, ToneStack> {
    if (this.#tables.size > MOST_TABLES) this.#tables.clear();
    return this.#tables;
  }

  /** All of it, mm. */
  get whole() {
    const { width, height, pixelsPerMm } = this.index;
    return { left: 0, top: 0, widthMm: width / pixelsPerMm, heightMm: height / pixelsPerMm };
  }

  /** Printed lines at every so many pixels. @param ink the page's printed lines, at every pixel */
  inkAt(ink: InkShare, step: number): InkShare {
    const sized = this.#at(step);
    return (sized.ink ??= coarseInkShare(ink, step));
  }

  /**
   * The page at every so many pixels with what light does on it.
   * @throws RangeError as lightOfPage does
   */
  lit(things: readonly FormedThing[], lighting: Lighting, step: number): LitPage {
    const sized = this.#at(step);
    const key = JSON.stringify([
      things.map(({ id, regionIds, form, material, finish, sources }) => [
        id,
        regionIds,
        form,
        material,
        finish,
        sources,
      ]),
      lighting,
    ]);
    if (sized.lit === null || sized.key !== key) {
      sized.lit = { ...sized.geometry, ...lightOfPage(sized.geometry, things, lighting) };
      sized.key = key;
    }
    return sized.lit;
  }

  /** What light does on each of its regions, by region id. @throws RangeError as lightOfPage does */
  samples(things: readonly FormedThing[], lighting: Lighting): Map<number, FieldSamples> {
    return sampleFields(this.lit(things, lighting, Math.max(1, Math.round(this.index.pixelsPerMm / SAMPLED_PER_MM))));
  }

  #at(step: number): Sized {
    let sized = this.#sizes.get(step);
    if (!sized) {
      const geometry = coarsePageOf(this.index, step);
      this.#sizes.set(step, (sized = { geometry, ink: null, key: '', lit: null }));
    }
    return sized;
  }
}
