import type { Pencil, ReadOn, TrayFit } from '../../contracts/index.ts';
import { paperKind } from '../../core/laydown/index.ts';
import { type PaperModel, paperModelOf } from '../../pencils/index.ts';
import { type State } from '../app/store.ts';
import { deskApi, useFitsQuery, usePencilsQuery, useReadOnQuery } from './desk-api.ts';

interface Known {
  pencils: readonly Pencil[];
  fits: readonly TrayFit[];
  readOn: ReadOn;
}

/** The last one made of each tray and paper, with what it was made from: hundreds of laydowns ask for the same. */
const made = new Map<string, Known & { paperModel: PaperModel }>();

const NONE: Known = { pencils: [], fits: [], readOn: {} };

/** A paper as the swatches of a tray say that it takes pencil; null until that is known. As declared without a tray. */
export function usePaper(trayId: string, paper: string): PaperModel | null {
  const skip = { skip: trayId === '' };
  const pencils = usePencilsQuery(trayId, skip);
  const fits = useFitsQuery(trayId, skip);
  const readOn = useReadOnQuery(trayId, skip);
  if (pencils.isLoading || fits.isLoading || readOn.isLoading) return null;
  return paperFrom(`${trayId} ${paper}`, paper, {
    pencils: pencils.data ?? NONE.pencils,
    fits: fits.data ?? NONE.fits,
    readOn: readOn.data ?? NONE.readOn,
  });
}

/** The same from what the store has; null until that is known. */
export function selectPaper(state: State, trayId: string, paper: string): PaperModel | null {
  const { endpoints } = deskApi;
  const [pencils, fits, readOn] = [
    endpoints.pencils.select(trayId)(state).data,
    endpoints.fits.select(trayId)(state).data,
    endpoints.readOn.select(trayId)(state).data,
  ];
  return pencils && fits && readOn ? paperFrom(`${trayId} ${paper}`, paper, { pencils, fits, readOn }) : null;
}

function paperFrom(key: string, paper: string, known: Known): PaperModel {
  const before = made.get(key);
  if (before && before.pencils === known.pencils && before.fits === known.fits && before.readOn === known.readOn) {
    return before.paperModel;
  }
  const { pencils, fits, readOn } = known;
  const read = Object.keys(readOn).filter((id) => readOn[id]?.includes(paperKind(paper)));
  const paperModel = paperModelOf(paper, pencils, fits, new Set(read));
  made.set(key, { ...known, paperModel });
  return paperModel;
}
