import { createContext, useContext } from 'react';
import type { Pencil, RegionGround, RegionsMeta, SheetState } from '../../contracts/index.ts';
import { type Rates } from '../../core/bench/index.ts';
import { type FormedThing } from '../../core/light/index.ts';
import { type PageIndex } from '../../core/lineart/index.ts';
import { type Recipe } from '../../core/recipe/index.ts';
import { type PaperModel } from '../../pencils/index.ts';
import { type Hours } from '../../plan/derive/index.ts';
import { type LaidPencil } from '../workers/index.ts';

/** The regions of a sheet with their index; what they were found from names them in the page worker. */
export interface PageRegions extends RegionsMeta {
  index: PageIndex;
}

/** A sheet as every stage shares it. */
export interface Desk {
  sheet: SheetState;
  /** Every pencil of the sheet's tray. */
  pencils: readonly Pencil[];
  pencilById: ReadonlyMap<string, Pencil>;
  /** The sheet's paper as the tray's swatches say that it takes pencil. */
  paperModel: PaperModel;
  /** How the pencils come out on this paper, by id; empty until computed. */
  laid: ReadonlyMap<string, LaidPencil>;
  /** Pixels of the working picture per mm of the page. */
  pixelsPerMm: number;
  picture: ImageBitmap;
  /** Null until regions have been found at the sheet's present size, and while those are being fetched. */
  page: PageRegions | null;
  /** What lies on regions before anything is laid, by region id; bare ones are left out. */
  grounds: ReadonlyMap<number, RegionGround>;
  /** How fast this person works, as far as that is known. */
  rates: Rates;
  /** What all recipes take, and what was left out to keep to the hours wished for. */
  hours: Hours;
  /** The recipe of each thing that has a family, by thing id. */
  recipes: ReadonlyMap<string, Recipe>;
  /** Every thing with its form and whose colours it shows, from front to behind. */
  formed: readonly FormedThing[];
}

export const DeskContext = createContext<Desk | null>(null);

/** The sheet on the desk. */
export function useDesk(): Desk {
  const desk = useContext(DeskContext);
  if (!desk) throw new Error('A stage was shown without a sheet on the desk.');
  return desk;
}
