import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type {
  AddPencils,
  AddReadings,
  BenchState,
  Command,
  CopyResult,
  DemoState,
  LogEntry,
  Logged,
  MeterAnswer,
  MeterRequest,
  NewBenchPlan,
  NewCard,
  NewNote,
  NewSwatch,
  NewTrayFit,
  NewPalette,
  NewRecipeCard,
  NewTrialPatch,
  RecipeCard,
  SavedPalette,
  Notebook,
  Pencil,
  PencilEdit,
  PencilEdits,
  PencilWear,
  PracticeSeries,
  ReadOn,
  RecordEntry,
  Reference,
  ReferenceEdit,
  Settings,
  SettingsEdit,
  SheetCard,
  SheetEdit,
  SheetState,
  Subject,
  Swatch,
  SwatchCard,
  Tool,
  Tray,
  TrayFit,
  TrialPatch,
} from '../../contracts/index.ts';

import { type Rates } from '../../core/bench/index.ts';
import { withChangesUnderWay } from './changes-under-way.ts';

type OnSheet<T = unknown> = { sheetId: string } & T;
type OnTray<T> = { trayId: string } & T;

const ask = fetchBaseQuery({ baseUrl: `${location.origin}/api` });

/** Another device that did not give the access code yet is shown the door. */
const throughTheDoor: typeof ask = async (request, api, options) => {
  const answer = await ask(request, api, options);
  const { pathname, search } = location;
  if (answer.error?.status === 401 && pathname !== '/access') {
    location.assign(`/access?to=${encodeURIComponent(pathname + search)}`);
  }
  return answer;
};

/** The server's API. Answers that carry a sheet or a bench go straight into their cache entry. */
export const deskApi = createApi({
  reducerPath: 'deskApi',
  baseQuery: throughTheDoor,
  tagTypes: [
    'shelf',
    'trays',
    'pencils',
    'record',
    'swatches',
    'cards',
    'trials',
    'palettes',
    'recipes',
    'fits',
    'demo',
    'references',
  ],
  endpoints: (build) => {
    const sheetMutation = <T extends OnSheet>(request: (arg: T) => { url: string; body: unknown; method?: string }) =>
      build.mutation<SheetState, T>({
        query: (arg) => ({ method: 'POST', ...request(arg) }),
        invalidatesTags: ['shelf'],
        async onQueryStarted(_arg, { dispatch, queryFulfilled }) {
          const { data } = await queryFulfilled.catch(() => ({ data: null }));
          if (!data) return;
          // At once where the sheet is shown, so that the next change is made of this one.
          const shown = dispatch(deskApi.util.updateQueryData('sheet', data.id, () => withChangesUnderWay(data)));
          if (shown.patches.length === 0) {
            void dispatch(deskApi.util.upsertQueryData('sheet', data.id, withChangesUnderWay(data)));
          }
        },
      });
    const benchMutation = <T extends OnSheet>(request: (arg: T) => { url: string; body: unknown }) =>
      build.mutation<BenchState, T>({
        query: (arg) => ({ method: 'POST', ...request(arg) }),
        invalidatesTags: ['shelf', 'record'],
        async onQueryStarted({ sheetId }, { dispatch, queryFulfilled }) {
          const { data } = await queryFulfilled.catch(() => ({ data: null }));
          if (!data) return;
          const shown = dispatch(deskApi.util.updateQueryData('bench', sheetId, () => data));
          if (shown.patches.length === 0) void dispatch(deskApi.util.upsertQueryData('bench', sheetId, data));
        },
      });
    return {
      sheets: build.query<SheetCard[], void>({ query: () => '/sheets', providesTags: ['shelf'] }),
      sheet: build.query<SheetState, string>({ query: (id) => `/sheets/${id}` }),
      createSheet: sheetMutation<OnSheet<{ form: FormData }>>(({ form }) => ({ url: '/sheets', body: form })),
      editSheet: sheetMutation<OnSheet<{ edit: SheetEdit }>>(({ sheetId, edit }) => ({
        url: `/sheets/${sheetId}`,
        method: 'PATCH',
        body: edit,
      })),
      copySheet: sheetMutation<OnSheet<{ id: string; title: string }>>(({ sheetId, ...body }) => ({
        url: `/sheets/${sheetId}/copies`,
        body,
      })),
      command: sheetMutation<OnSheet<{ command: Command }>>(({ sheetId, command }) => ({
        url: `/sheets/${sheetId}/commands`,
        body: command,
      })),
      undo: sheetMutation<OnSheet<{ baseRevision: number }>>(({ sheetId, baseRevision }) => ({
        url: `/sheets/${sheetId}/undo`,
        body: { baseRevision },
      })),
      redo: sheetMutation<OnSheet<{ baseRevision: number }>>(({ sheetId, baseRevision }) => ({
        url: `/sheets/${sheetId}/redo`,
        body: { baseRevision },
      })),
      nameFromKey: sheetMutation<OnSheet<{ id: string }>>(({ sheetId, ...body }) => ({
        url: `/sheets/${sheetId}/name-from-key`,
        body,
      })),
      storeRegions: sheetMutation<OnSheet<{ form: FormData }>>(({ sheetId, form }) => ({
        url: `/sheets/${sheetId}/regions`,
        method: 'PUT',
        body: form,
      })),
      trays: build.query<Tray[], void>({ query: () => '/trays', providesTags: ['trays'] }),
      pencils: build.query<Pencil[], string>({
        query: (trayId) => `/trays/${trayId}/pencils`,
        providesTags: (_result, _error, trayId) => [{ type: 'pencils', id: trayId }],
      }),
      addPencils: build.mutation<CopyResult, OnTray<AddPencils>>({
        query: ({ trayId, ...body }) => ({ url: `/trays/${trayId}/pencils`, method: 'POST', body }),
        invalidatesTags: (_result, _error, { trayId }) => ['trays', 'swatches', { type: 'pencils', id: trayId }],
      }),
      copyPencils: build.mutation<CopyResult, OnTray<{ pencilIds: string[] }>>({
        query: ({ trayId, pencilIds }) => ({ url: `/trays/${trayId}/copies`, method: 'POST', body: { pencilIds } }),
        invalidatesTags: (_result, _error, { trayId }) => ['trays', { type: 'pencils', id: trayId }],
      }),
      editPencil: build.mutation<Pencil, OnTray<{ pencilId: string; edit: PencilEdit }>>({
        query: ({ trayId, pencilId, edit }) => ({
          url: `/trays/${trayId}/pencils/${pencilId}`,
          method: 'PATCH',
          body: edit,
        }),
        async onQueryStarted({ trayId, pencilId, edit }, { dispatch, queryFulfilled }) {
          const shown = dispatch(
            deskApi.util.updateQueryData('pencils', trayId, (pencils) => {
              Object.assign(pencils.find((pencil) => pencil.id === pencilId) ?? {}, edit);
            }),
          );
          await queryFulfilled.catch(shown.undo);
        },
      }),
      editPencils: build.mutation<Pencil[], OnTray<PencilEdits>>({
        query: ({ trayId, ...body }) => ({ url: `/trays/${trayId}/pencils`, method: 'PATCH', body }),
        invalidatesTags: (_result, _error, { trayId }) => [{ type: 'pencils', id: trayId }],
      }),
      tools: build.query<Tool[], string>({
        query: (trayId) => `/trays/${trayId}/tools`,
        providesTags: ['trays'],
      }),
      swatches: build.query<Swatch[], OnTray<{ pencilId: string }>>({
        query: ({ trayId, pencilId }) => `/trays/${trayId}/pencils/${pencilId}/swatches`,
        providesTags: (_result, _error, { pencilId }) => [{ type: 'swatches', id: pencilId }],
      }),
      swatchesOn: build.query<Swatch[], OnTray<{ paper: string }>>({
        query: ({ trayId, paper }) => `/trays/${trayId}/swatches/${encodeURIComponent(paper)}`,
        providesTags: ['swatches'],
      }),
      readOn: build.query<ReadOn, string>({
        query: (trayId) => `/trays/${trayId}/read-on`,
        providesTags: ['swatches'],
      }),
      fits: build.query<TrayFit[], string>({ query: (trayId) => `/trays/${trayId}/fits`, providesTags: ['fits'] }),
      storeFit: build.mutation<TrayFit[], OnTray<{ paper: string; fit: NewTrayFit }>>({
        query: ({ trayId, paper, fit }) => ({
          url: `/trays/${trayId}/fits/${encodeURIComponent(paper)}`,
          method: 'PUT',
          body: fit,
        }),
        invalidatesTags: ['fits'],
      }),
      wear: build.query<PencilWear[], string>({
        query: (trayId) => `/trays/${trayId}/wear`,
        providesTags: (_result, _error, trayId) => ['shelf', 'record', { type: 'pencils', id: trayId }],
      }),
      trials: build.query<TrialPatch[], string>({
        query: (trayId) => `/trays/${trayId}/trials`,
        providesTags: ['trials', 'demo'],
      }),
      keepTrial: build.mutation<TrialPatch[], OnTray<{ trial: NewTrialPatch }>>({
        query: ({ trayId, trial }) => ({ url: `/trays/${trayId}/trials`, method: 'PUT', body: trial }),
        invalidatesTags: ['trials'],
      }),
      putTrialAway: build.mutation<TrialPatch[], OnTray<{ id: string }>>({
        query: ({ trayId, id }) => ({ url: `/trays/${trayId}/trials/${id}`, method: 'DELETE' }),
        invalidatesTags: ['trials'],
      }),
      palettes: build.query<SavedPalette[], void>({ query: () => '/palettes', providesTags: ['palettes', 'demo'] }),
      keepPalette: build.mutation<SavedPalette[], NewPalette>({
        query: (palette) => ({ url: '/palettes', method: 'PUT', body: palette }),
        invalidatesTags: ['palettes'],
      }),
      putPaletteAway: build.mutation<SavedPalette[], string>({
        query: (id) => ({ url: `/palettes/${id}`, method: 'DELETE' }),
        invalidatesTags: ['palettes'],
      }),
      recipeCards: build.query<RecipeCard[], void>({
        query: () => '/recipe-cards',
        providesTags: ['recipes', 'demo'],
      }),
      keepRecipeCard: build.mutation<RecipeCard[], NewRecipeCard>({
        query: (card) => ({ url: '/recipe-cards', method: 'PUT', body: card }),
        invalidatesTags: ['recipes'],
      }),
      putRecipeCardAway: build.mutation<RecipeCard[], string>({
        query: (id) => ({ url: `/recipe-cards/${id}`, method: 'DELETE' }),
        invalidatesTags: ['recipes'],
      }),
      cards: build.query<SwatchCard[], string>({
        query: (trayId) => `/trays/${trayId}/cards`,
        providesTags: ['cards', 'demo'],
      }),
      addCard: build.mutation<SwatchCard[], OnTray<{ card: NewCard }>>({
        query: ({ trayId, card }) => ({ url: `/trays/${trayId}/cards`, method: 'POST', body: card }),
        invalidatesTags: ['cards'],
      }),
      addReadings: build.mutation<{ kept: number }, OnTray<AddReadings>>({
        query: ({ trayId, ...body }) => ({ url: `/trays/${trayId}/swatches`, method: 'POST', body }),
        invalidatesTags: ['swatches'],
      }),
      addSwatch: build.mutation<Swatch[], OnTray<{ pencilId: string; swatch: NewSwatch }>>({
        query: ({ trayId, pencilId, swatch }) => ({
          url: `/trays/${trayId}/pencils/${pencilId}/swatches`,
          method: 'POST',
          body: swatch,
        }),
        invalidatesTags: ['swatches'],
      }),
      subjects: build.query<Subject[], 'scanner' | 'camera'>({
        query: (device) => `/devices/${device}/subjects`,
        providesTags: ['shelf', 'demo', 'cards', 'trials'],
      }),
      readMeter: build.mutation<MeterAnswer, MeterRequest>({
        query: (body) => ({ url: '/devices/meter/read', method: 'POST', body }),
      }),
      notebook: build.query<Notebook, string>({ query: (sheetId) => `/sheets/${sheetId}/notebook` }),
      addNote: build.mutation<Notebook, OnSheet<{ note: NewNote }>>({
        query: ({ sheetId, note }) => ({ url: `/sheets/${sheetId}/notes`, method: 'POST', body: note }),
        async onQueryStarted({ sheetId }, { dispatch, queryFulfilled }) {
          const { data } = await queryFulfilled.catch(() => ({ data: null }));
          if (data) void dispatch(deskApi.util.upsertQueryData('notebook', sheetId, data));
        },
      }),
      references: build.query<Reference[], string>({
        query: (sheetId) => `/sheets/${sheetId}/references`,
        providesTags: ['references'],
      }),
      pinReference: build.mutation<Reference[], OnSheet<{ form: FormData }>>({
        query: ({ sheetId, form }) => ({ url: `/sheets/${sheetId}/references`, method: 'POST', body: form }),
        invalidatesTags: ['references'],
      }),
      editReference: build.mutation<Reference[], OnSheet<{ id: string; edit: ReferenceEdit }>>({
        query: ({ sheetId, id, edit }) => ({
          url: `/sheets/${sheetId}/references/${id}`,
          method: 'PATCH',
          body: edit,
        }),
        invalidatesTags: ['references'],
      }),
      practice: build.query<PracticeSeries[], void>({ query: () => '/practice', providesTags: ['demo'] }),
      demo: build.query<DemoState, void>({ query: () => '/demo', providesTags: ['demo', 'shelf'] }),
      removeDemo: build.mutation<DemoState, void>({
        query: () => ({ url: '/demo', method: 'DELETE' }),
        invalidatesTags: ['shelf', 'trays', 'pencils', 'record', 'swatches', 'fits', 'demo'],
      }),
      putDemoBack: build.mutation<DemoState, void>({
        query: () => ({ url: '/demo', method: 'PUT' }),
        invalidatesTags: ['shelf', 'trays', 'pencils', 'record', 'swatches', 'fits', 'demo'],
      }),
      bench: build.query<BenchState, string>({ query: (sheetId) => `/sheets/${sheetId}/bench` }),
      /** Asked anew when an order is made, and not after each step: hours and recipes hang on it. */
      rates: build.query<Rates, string>({
        query: (sheetId) => `/sheets/${sheetId}/rates`,
        // How often one goes over follows the hand that swatches tell.
        providesTags: ['fits'],
      }),
      storeBench: benchMutation<OnSheet<{ plan: NewBenchPlan }>>(({ sheetId, plan }) => ({
        url: `/sheets/${sheetId}/bench`,
        body: plan,
      })),
      logSteps: build.mutation<Logged, OnSheet<{ entries: readonly LogEntry[] }>>({
        query: ({ sheetId, entries }) => ({ url: `/sheets/${sheetId}/log`, method: 'POST', body: entries }),
        invalidatesTags: ['shelf', 'record'],
      }),
      record: build.query<RecordEntry[], string>({
        query: (sheetId) => `/sheets/${sheetId}/record`,
        providesTags: ['record'],
      }),
      settings: build.query<Settings, void>({ query: () => '/settings' }),
      editSettings: build.mutation<Settings, SettingsEdit>({
        query: (body) => ({ url: '/settings', method: 'PATCH', body }),
        async onQueryStarted(edit, { dispatch, queryFulfilled }) {
          const show = () =>
            dispatch(deskApi.util.updateQueryData('settings', undefined, (shown) => void Object.assign(shown, edit)));
          show();
          try {
            await queryFulfilled;
            // What was asked for before this change may have come after it.
            show();
          } catch {
            void dispatch(deskApi.endpoints.settings.initiate(undefined, { forceRefetch: true, subscribe: false }));
          }
        },
      }),
    };
  },
});

export const {
  useSheetsQuery,
  useSheetQuery,
  useCreateSheetMutation,
  useEditSheetMutation,
  useCopySheetMutation,
  useNameFromKeyMutation,
  useStoreRegionsMutation,
  useTraysQuery,
  usePencilsQuery,
  useAddPencilsMutation,
  useCopyPencilsMutation,
  useEditPencilMutation,
  useEditPencilsMutation,
  useToolsQuery,
  useSwatchesQuery,
  useAddSwatchMutation,
  useWearQuery,
  useKeepPaletteMutation,
  usePalettesQuery,
  usePutPaletteAwayMutation,
  useRecipeCardsQuery,
  useKeepRecipeCardMutation,
  usePutRecipeCardAwayMutation,
  useTrialsQuery,
  useKeepTrialMutation,
  usePutTrialAwayMutation,
  useCardsQuery,
  useAddCardMutation,
  useAddReadingsMutation,
  useSwatchesOnQuery,
  useLazySwatchesOnQuery,
  useLazyPencilsQuery,
  useFitsQuery,
  useReadOnQuery,
  useStoreFitMutation,
  useSubjectsQuery,
  useReadMeterMutation,
  useNotebookQuery,
  useAddNoteMutation,
  useRatesQuery,
  useReferencesQuery,
  usePinReferenceMutation,
  useEditReferenceMutation,
  usePracticeQuery,
  useDemoQuery,
  useRemoveDemoMutation,
  usePutDemoBackMutation,
  useBenchQuery,
  useStoreBenchMutation,
  useRecordQuery,
  useSettingsQuery,
  useEditSettingsMutation,
} = deskApi;
