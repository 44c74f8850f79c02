import { useEffect, useMemo, useState } from 'react';
import { Outlet, useParams } from 'react-router';
import type { Pencil, SheetState } from '../../contracts/index.ts';
import { usePencilsQuery, useRatesQuery, useSheetQuery } from '../api/desk-api.ts';
import { whyNotShown } from '../api/sentence.ts';
import { usePaper } from '../api/use-paper.ts';
import { ASSUMED_RATES } from '../../core/bench/index.ts';
import { whiteBook } from '../../core/laydown/index.ts';
import { useAppDispatch } from '../app/store.ts';
import { type LaidPencil, PRIORITY, pageJobs, pencilJobs, useAnswer } from '../workers/index.ts';
import { sitDownAt } from './at-the-desk.ts';
import { type PaperModel } from '../../pencils/index.ts';
import { regionsKey } from '../../plan/derive/index.ts';
import { deskOf, layOnDesk } from './derived-desk.ts';
import { DeskContext, type PageRegions } from './desk-context.ts';
import { Failed, Waiting } from './failed.tsx';
import { loadPicture, loadRegions } from './load-page.ts';
import { pictureUrl } from './picture-url.ts';
import { usePageInLight } from './use-page-in-light.ts';

// Every stage asks them at once; they load while the sheet is fetched.
pageJobs.prepare();
pencilJobs.prepare();

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
  const found = usePage(sheet);
  const lit = usePageInLight(sheet, isFound(found) ? found : null);
  // The page is on its way until its light is known too: recipes are fitted to that.
  const page = isFound(found) ? (lit ?? 'loading') : found;
  const laid = useLaid(pencils ?? NO_PENCILS, use);
  // A stage once shown stays: its keys, its scroll and what is under way there outlive regions that are found anew.
  const [shown, setShown] = useState<string | null>(null);
  if (sheet && page !== 'loading' && shown !== sheetId) setShown(sheetId);
  const unread = page !== null && typeof page === 'object' && 'failed' in page ? page.failed : null;
  if (error) return <Failed sentence={whyNotShown(error)} />;
  if (picture.failed ?? unread) return <Failed sentence={(picture.failed ?? unread)!} />;
  if (!sheet || !pencils || !use || !picture.value || (page === 'loading' && shown !== sheetId))
    return <Waiting doing="laying the sheet on the desk" />;
  return (
    <WithDerived
      sheet={sheet}
      pencils={pencils}
      paperModel={use}
      picture={picture.value}
      laid={laid}
      page={isFound(page) ? page : null}
    >
      <Outlet />
    </WithDerived>
  );
}

interface DerivedProps {
  sheet: SheetState;
  pencils: readonly Pencil[];
  paperModel: PaperModel;
  picture: ImageBitmap;
  laid: ReadonlyMap<string, LaidPencil>;
  page: PageRegions | null;
  children: React.ReactNode;
}

function WithDerived({ sheet, pencils, paperModel, picture, laid, page, children }: DerivedProps) {
  const { data: rates = ASSUMED_RATES } = useRatesQuery(sheet.id);
  useEffect(() => layOnDesk(sheet.id, { picture, page, laid }), [sheet.id, picture, page, laid]);
  return (
    <DeskContext value={deskOf({ sheet, pencils, paperModel, picture, page, laid, rates })}>{children}</DeskContext>
  );
}

function isFound(page: ReturnType<typeof usePage>): page is PageRegions {
  return page !== null && typeof page === 'object' && 'index' in page;
}

/** The regions that were found on the sheet as it is; null where none hold for it. */
function usePage(sheet: SheetState | undefined): PageRegions | null | 'loading' | { failed: string } {
  const from = sheet?.plan.regionsFrom ?? null;
  const holds = sheet !== undefined && from === keyOf(sheet);
  const sheetId = sheet?.id ?? '';
  const { value, failed } = useLoaded(holds ? `${sheetId} ${from}` : null, () =>
    loadRegions(sheetId, from!, pictureUrl(sheetId, sheet!.picture.hash)),
  );
  if (!sheet) return 'loading';
  if (!holds) return null;
  if (failed) return { failed };
  return value ?? 'loading';
}

const NO_PENCILS: readonly Pencil[] = [];
const NONE_LAID: ReadonlyMap<string, LaidPencil> = new Map();

/** How pencils come out on a paper, by id; empty until that is known. It needs no page, so it does not wait for one. */
function useLaid(pencils: readonly Pencil[], paperModel: PaperModel | null): ReadonlyMap<string, LaidPencil> {
  const declared = paperModel ? pencils.map((pencil) => paperModel.trayPencil(pencil)) : [];
  const ask = () =>
    pencilJobs.start('onPaper', { pencils: declared, paper: paperModel!.paper }, { priority: PRIORITY.waitedFor });
  const { value } = useAnswer(declared.length > 0 ? [ask] : [], [declared, paperModel?.paper]);
  return useMemo(() => (value ? new Map(value.map((pencil) => [pencil.id, pencil])) : NONE_LAID), [value]);
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
    // oxlint-disable-next-line react/exhaustive-deps
  }, [key]);
  return state.key === key ? state : { value: null, failed: null };
}

function keyOf({ picture, plan }: SheetState): string {
  return regionsKey(picture.hash, picture.width, plan.page.widthMm, plan.finding);
}
