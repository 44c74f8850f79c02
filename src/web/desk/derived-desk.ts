import { createSelector } from '@reduxjs/toolkit';
import isEqual from 'fast-deep-equal/es6/index.js';
import type { Pencil, SheetState } from '../../contracts/index.ts';
import { type Rates, ASSUMED_RATES } from '../../core/bench/index.ts';
import { type PaperModel } from '../../pencils/index.ts';
import { type PlannedPage, deriveHours, formedThings, groundsOf } from '../../plan/derive/index.ts';
import { deskApi } from '../api/desk-api.ts';
import { selectPaper } from '../api/use-paper.ts';
import { type State, store } from '../app/store.ts';
import { type LaidPencil } from '../workers/index.ts';
import { type Desk, type PageRegions } from './desk-context.ts';

/** What of a sheet is fetched or worked out elsewhere and is no state of the store. */
export interface SheetAssets {
  picture: ImageBitmap;
  /** Null until regions have been found at the sheet's present size, and while those are being fetched. */
  page: PageRegions | null;
  /** How the pencils come out on its paper, by id; empty until computed. */
  laid: ReadonlyMap<string, LaidPencil>;
}

/** All that a sheet on the desk follows from. */
export interface LoadedSheet extends SheetAssets {
  sheet: SheetState;
  pencils: readonly Pencil[];
  paperModel: PaperModel;
  rates: Rates;
}

const NO_PAGE: PlannedPage = { regions: [], neighbours: [] };

// What comes out as it was keeps its identity, so that a change that shows nothing paints nothing.
const asBefore = { memoizeOptions: { resultEqualityCheck: isEqual } };

const planOf = ({ sheet }: LoadedSheet) => sheet.plan;
const pageOf = ({ page }: LoadedSheet) => page;

const pencilsById = createSelector(
  [({ pencils }: LoadedSheet) => pencils],
  (pencils) => new Map(pencils.map((pencil) => [pencil.id, pencil])),
);
const hoursOf = createSelector(
  [planOf, pageOf, pencilsById, ({ rates }: LoadedSheet) => rates, ({ paperModel }: LoadedSheet) => paperModel],
  (plan, page, pencilById, rates, paperModel) => deriveHours(plan, page ?? NO_PAGE, pencilById, rates, paperModel),
);
const recipesOf = createSelector([hoursOf], ({ recipes }) => new Map(recipes), asBefore);
const groundsUnder = createSelector([planOf, pageOf], (plan, page) => groundsOf(plan, page?.seen), asBefore);
const formedOf = createSelector([planOf, pageOf], (plan, page) => formedThings(plan, page ?? NO_PAGE), asBefore);

/** A sheet with all that follows from it, as every stage shares it. */
export const deskOf = createSelector(
  [
    ({ sheet }: LoadedSheet) => sheet,
    ({ pencils }: LoadedSheet) => pencils,
    ({ paperModel }: LoadedSheet) => paperModel,
    ({ picture }: LoadedSheet) => picture,
    pageOf,
    ({ laid }: LoadedSheet) => laid,
    ({ rates }: LoadedSheet) => rates,
    pencilsById,
    hoursOf,
    recipesOf,
    groundsUnder,
    formedOf,
  ],
  (sheet, pencils, paperModel, picture, page, laid, rates, pencilById, hours, recipes, grounds, formed): Desk => ({
    sheet,
    pencils,
    pencilById,
    paperModel,
    laid,
    pixelsPerMm: sheet.picture.width / sheet.plan.page.widthMm,
    picture,
    page,
    grounds,
    rates,
    hours,
    recipes,
    formed,
  }),
);

/** The sheet that lies on the desk, with its assets. */
let onDesk: { sheetId: string; assets: SheetAssets } | null = null;

/** Tells what lies on the desk, so that what works on it beside the screen finds it. */
export function layOnDesk(sheetId: string, assets: SheetAssets): void {
  onDesk = { sheetId, assets };
}

/**
 * The sheet on the desk as it stands at this moment, every change of just now with it, be it on the screen yet or not.
 * @returns null where another sheet or none lies there
 */
export function deskNow(sheetId: string): Desk | null {
  if (onDesk?.sheetId !== sheetId) return null;
  const loaded = loadedFrom(store.getState(), sheetId, onDesk.assets);
  return loaded && deskOf(loaded);
}

/** A sheet from what the store has of it; null while parts of it are on their way. */
export function loadedFrom(state: State, sheetId: string, assets: SheetAssets): LoadedSheet | null {
  const { endpoints } = deskApi;
  const sheet = endpoints.sheet.select(sheetId)(state).data;
  const pencils = sheet && endpoints.pencils.select(sheet.trayId)(state).data;
  const paperModel = sheet && selectPaper(state, sheet.trayId, sheet.plan.page.paper);
  if (!sheet || !pencils || !paperModel) return null;
  const rates = endpoints.rates.select(sheetId)(state).data ?? ASSUMED_RATES;
  return { ...assets, sheet, pencils, paperModel, rates };
}
