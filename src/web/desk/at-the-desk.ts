import { type PayloadAction, createSlice } from '@reduxjs/toolkit';

/** What the user is doing now; none of it is stored on the server. */
export interface AtTheDesk {
  /** Regions chosen on the sheet, in the order in which they were chosen. */
  regionIds: number[];
  /** The thing whose decisions the side table shows, or null. */
  thingId: string | null;
  /** Region under the pointer, or come to by the arrow keys. */
  pointedRegionId: number | null;
  /** Pencil that is pointed at; its places are lit on the sheet. */
  pencilId: string | null;
  /** Where each sheet is zoomed to, by sheet id: scale and offset in screen pixels. */
  views: Record<string, { k: number; x: number; y: number }>;
  /** CSS pixels per pixel of the working picture, as the sheet is shown; null until it is. */
  scale: number | null;
  /** How many layers of each thing the preview shows; null shows all. */
  upToLayer: number | null;
  /** Id of the lamp that pages and pencils are seen by; null: daylight. */
  lamp: string | null;
}

const initialState: AtTheDesk = {
  regionIds: [],
  thingId: null,
  pointedRegionId: null,
  pencilId: null,
  views: {},
  scale: null,
  upToLayer: null,
  lamp: null,
};

export const atTheDesk = createSlice({
  name: 'atTheDesk',
  initialState,
  reducers: {
    chooseRegions(state, { payload }: PayloadAction<number[]>) {
      state.regionIds = payload;
      state.thingId = null;
    },
    /** Adds a region to the choice, or takes it out again. */
    toggleRegion(state, { payload }: PayloadAction<number>) {
      const at = state.regionIds.indexOf(payload);
      if (at < 0) state.regionIds.push(payload);
      else state.regionIds.splice(at, 1);
      state.thingId = null;
    },
    chooseThing(state, { payload }: PayloadAction<{ id: string; regionIds: number[] } | null>) {
      state.thingId = payload?.id ?? null;
      state.regionIds = payload?.regionIds ?? [];
    },
    pointAtRegion(state, { payload }: PayloadAction<number | null>) {
      state.pointedRegionId = payload;
    },
    pointAtPencil(state, { payload }: PayloadAction<string | null>) {
      state.pencilId = payload;
    },
    /** Keeps a place that the user zoomed to, or with null goes back to fitting the page. */
    zoomTo(state, { payload }: PayloadAction<{ sheetId: string; view: { k: number; x: number; y: number } | null }>) {
      if (payload.view) state.views[payload.sheetId] = payload.view;
      else delete state.views[payload.sheetId];
    },
    /** Says how large the sheet is shown, or with null that it is not. */
    showAt(state, { payload }: PayloadAction<number | null>) {
      state.scale = payload;
    },
    showUpTo(state, { payload }: PayloadAction<number | null>) {
      state.upToLayer = payload;
    },
    /** Sees pages and pencils by a lamp, or with null by daylight. */
    seeBy(state, { payload }: PayloadAction<string | null>) {
      state.lamp = payload;
    },
    sitDownAt(state) {
      Object.assign(state, { regionIds: [], thingId: null, pointedRegionId: null, pencilId: null, upToLayer: null });
    },
  },
});

export const {
  chooseRegions,
  toggleRegion,
  chooseThing,
  pointAtRegion,
  pointAtPencil,
  showAt,
  zoomTo,
  showUpTo,
  seeBy,
  sitDownAt,
} = atTheDesk.actions;
