import { useEffect, useMemo, useState } from 'react';
import { Outlet, useParams } from 'react-router';
import type { Pencil, RegionsMeta, SheetState } from '../../contracts/index.ts';
import { usePencilsQuery, useRatesQuery, useRegionsQuery, useSheetQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { usePaper } from '../api/use-paper.ts';
import { ASSUMED_RATES } from '../../core/bench/index.ts';
import { whiteBook } from '../../core/laydown/index.ts';
import { useAppDispatch } from '../app/store.ts';
import { type LaidPencil, openInWorker, pencilWorker } from '../workers/index.ts';
import { sitDownAt } from './at-the-desk.ts';
import { type PaperInUse } from '../../pencils/index.ts';
import { type PlannedPage, formedThings, deriveHours, regionsKey } from '../../plan/derive/index.ts';
import { groundsOf } from '../../rendering/index.ts';
import { DeskContext, type PageRegions } from './desk-context.ts';
import { Failed, Waiting } from './failed.tsx';
import { loadLabels, loadPicture, pictureUrl } from './load-page.ts';

/** Lays a sheet on the desk: loads what every stage shares, then shows the stage. */
export function SheetOnDesk() {
  const { sheetId = '' } = useParams();
  const dispatch = useAppDispatch();
  useEffect(() => void dispatch(sitDownAt()), [dispatch, sheetId]);
  const { data: sheet, error } = useSheetQuery(sheetId);
  const { data: pencils } = usePencilsQuery(sheet?.trayId ?? '', { skip: !sheet });
  const use = usePaper(sheet?.trayId ?? '', sheet?.plan.page.paper ?? whiteBook.id);
  const picture = useLoaded(sheet ? `${sheet.id} ${sheet.picture.hash}` : null, () =>
    loadPicture(sheet!.id, sheet!.picture.hash),
  );
  const page = usePage(sheet);
  // A stage once shown stays: its keys, its scroll and what is under way there outlive regions that are found anew.
  const [shown, setShown] = useState<string | null>(null);
  if (sheet && page !== 'loading' && shown !== sheetId) setShown(sheetId);
  if (error) return <Failed sentence={sentenceOf(error)} />;
  if (picture.failed) return <Failed sentence={picture.failed} />;
  if (!sheet || !pencils || !use || !picture.value || (page === 'loading' && shown !== sheetId))
    return <Waiting doing="laying the sheet on the desk" />;
  return (
    <WithDerived
      sheet={sheet}
      pencils={pencils}
      use={use}
      picture={picture.value}
      page={page === 'loading' ? null : page}
    >
      <Outlet />
    </WithDerived>
  );
}

const NO_PAGE: PlannedPage = { regions: [], neighbours: [] };

interface DerivedProps {
  sheet: SheetState;
  pencils: readonly Pencil[];
  use: PaperInUse;
  picture: ImageBitmap;
  page: PageRegions | null;
  children: React.ReactNode;
}

function WithDerived({ sheet, pencils, use, picture, page, children }: DerivedProps) {
  const { plan } = sheet;
  const laid = useLaid(pencils, use);
  const { data: rates = ASSUMED_RATES } = useRatesQuery(sheet.id);
  const pencilById = useMemo(() => new Map(pencils.map((pencil) => [pencil.id, pencil])), [pencils]);
  const hours = useMemo(() => deriveHours(plan, page ?? NO_PAGE, pencilById, rates), [plan, page, pencilById, rates]);
  const { recipes } = hours;
  const grounds = useMemo(() => groundsOf(plan, page?.seen), [plan, page]);
  const formed = useMemo(() => formedThings(plan, page ?? NO_PAGE), [plan, page]);
  const desk = useMemo(
    () => ({
      sheet,
      pencils,
      pencilById,
      use,
      laid,
      picture,
      page,
      grounds,
      rates,
      hours,
      recipes,
      formed,
      pixelsPerMm: sheet.picture.width / plan.page.widthMm,
    }),
    [sheet, pencils, pencilById, use, laid, picture, page, grounds, rates, hours, recipes, formed, plan.page.widthMm],
  );
  return <DeskContext value={desk}>{children}</DeskContext>;
}

/** The stored regions with their raster, handed to the page worker too; null where none hold for the sheet as it is. */
function usePage(sheet: SheetState | undefined): PageRegions | null | 'loading' {
  const from = sheet?.plan.regionsFrom ?? null;
  const holds = sheet !== undefined && from === keyOf(sheet);
  const sheetId = sheet?.id ?? '';
  const { currentData: meta } = useRegionsQuery({ sheetId, from: from ?? '' }, { skip: !holds });
  const labels = useLoaded(holds ? `${sheetId} ${from}` : null, () => loadLabels(sheetId, from!));
  const opened = useOpened(meta, labels.value, from ?? '', sheet ? pictureUrl(sheet.id, sheet.picture.hash) : '');
  if (!sheet) return 'loading';
  if (!holds) return null;
  return opened ?? 'loading';
}

function useOpened(
  meta: RegionsMeta | undefined,
  labels: Uint16Array | null,
  key: string,
  picture: string,
): PageRegions | null {
  return useMemo(() => {
    if (!meta || !labels || meta.from !== key) return null;
    const { width, height, pixelsPerMm, regions } = meta;
    openInWorker(key, { width, height, pixelsPerMm, labels, regions, picture });
    return { ...meta, key, labels };
  }, [meta, labels, key, picture]);
}

function useLaid(pencils: readonly Pencil[], use: PaperInUse): ReadonlyMap<string, LaidPencil> {
  const [laid, setLaid] = useState<ReadonlyMap<string, LaidPencil>>(new Map());
  const key = pencils.map((pencil) => `${pencil.id} ${pencil.colour} ${pencil.type} ${pencil.opacity}`).join();
  const { paper, fit } = use;
  useEffect(() => {
    let wanted = true;
    void pencilWorker
      .onPaper(
        pencils.map((pencil) => use.trayPencil(pencil)),
        paper,
      )
      .then((list) => {
        if (wanted) setLaid(new Map(list.map((pencil) => [pencil.id, pencil])));
      });
    return () => void (wanted = false);
    // The key stands for the pencils: where one lies does not change how it looks.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, paper.id, fit]);
  return laid;
}

/** The result of a promise that is started again when its key changes. */
function useLoaded<T>(key: string | null, load: () => Promise<T>): { value: T | null; failed: string | null } {
  const [state, setState] = useState<{ key: string | null; value: T | null; failed: string | null }>({
    key: null,
    value: null,
    failed: null,
  });
  useEffect(() => {
    if (key === null) return;
    let wanted = true;
    load().then(
      (value) => wanted && setState({ key, value, failed: null }),
      (error: Error) => wanted && setState({ key, value: null, failed: error.message }),
    );
    return () => void (wanted = false);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return state.key === key ? state : { value: null, failed: null };
}

function keyOf({ picture, plan }: SheetState): string {
  return regionsKey(picture.hash, picture.width, plan.page.widthMm, plan.finding);
}
