import type { TrayFit } from '../contracts/index.ts';
import {
  type Belief,
  type Hand,
  LAYDOWN_MODEL,
  PRESSURES,
  type Paper,
  type PaperFit,
  beliefOn,
  carriedFit,
  declaredFit,
  fittedPaper,
  fittedPencil,
  paperById,
  paperKind,
  typicalPencil,
} from '../core/laydown/index.ts';
import { type TrayPencil } from '../core/tray/index.ts';
import { type StoredPencil, asTrayPencil } from './as-tray-pencil.ts';

/** So many fitted pencils say something of those that were not. */
const ENOUGH = 6;

/** A paper with what the swatches of a tray say of it: every prediction on it starts here. */
export interface PaperModel {
  /** As it takes pencil in this person's hand, where swatches told; as it is declared where none did. */
  paper: Paper;
  /** The fit that holds here, or null. */
  fit: TrayFit | null;
  /** How the paper takes pencil, as it was fitted, carried over or declared. */
  found: PaperFit;
  /** Whether that fit was found on another kind of paper and carried over. */
  carried: boolean;
  /** A pencil of the tray as core knows it on this paper. */
  trayPencil(pencil: StoredPencil): TrayPencil;
  /** What its colours here rest on. */
  beliefIn(pencil: StoredPencil): Belief;
}

/**
 * A paper as a tray's swatches say that it takes pencil.
 * @param id of a paper, tint and all
 * @param pencils of the tray, for the types of those that were fitted
 * @param all what the tray's swatches come to, by paper; the newest on another paper serves where there is none here, and
 *   what was fitted with another edition of the layer model does not count
 * @param readOnce ids of pencils whose colour was read but not fitted
 * @throws RangeError for a paper that is not known
 */
export function paperModelOf(
  id: string,
  pencils: readonly StoredPencil[] = [],
  all: readonly TrayFit[] = [],
  readOnce: ReadonlySet<string> = new Set(),
): PaperModel {
  const declared = paperById(id);
  const fits = all.filter(({ fit }) => fit.model === LAYDOWN_MODEL);
  const here = fits.find(({ paper }) => paper === paperKind(id));
  const newest = [...fits].sort((p, q) => q.at.localeCompare(p.at));
  const fit = here ?? newest[0];
  if (!fit) {
    return {
      paper: declared,
      fit: null,
      found: declaredFit(declared),
      carried: false,
      trayPencil: asTrayPencil,
      beliefIn: (pencil) => beliefOn(readOnce.has(pencil.id) ? 'read once' : 'declared'),
    };
  }
  const found = fit === here ? fit.fit : carriedFit(fit.fit, paperById(fit.paper), declared);
  const paper = fittedPaper(declared, { ...found, hand: withLearnt(found.hand, fit.learnt) });
  const typical = typicalOf(pencils, fit);
  const own = ownFits([...(here ? [here] : []), ...newest]);
  return {
    paper,
    fit,
    found,
    carried: fit !== here,
    trayPencil(pencil) {
      const mine = own.get(pencil.id);
      if (!mine) {
        const { slope, tinted } = found;
        const masstoneOn = fittedPaper(declared, found);
        return { ...asTrayPencil(pencil), ...typical(pencil.type), slope, tinted, masstoneOn };
      }
      // Swatches were laid with the pencil as it is: a stub's say already how it presses.
      return { ...asTrayPencil(pencil), presses: 1, ...fittedPencil(mine.fit, paperById(mine.on.paper), mine.on.fit) };
    },
    beliefIn(pencil) {
      const mine = own.get(pencil.id);
      if (mine) return beliefOn(mine.on === here ? 'fitted' : 'carried', mine.fit.apart);
      if (readOnce.has(pencil.id)) return beliefOn('read once');
      return beliefOn(fit.pencils.length >= ENOUGH ? 'like its kind' : 'declared');
    },
  };
}

/** A hand with what was learnt of it since, pressure by pressure. */
export function withLearnt(hand: Hand, learnt: Hand): Hand {
  const both = PRESSURES.filter((name) => hand[name] !== undefined || learnt[name] !== undefined);
  return Object.fromEntries(both.map((name) => [name, (hand[name] ?? 1) * (learnt[name] ?? 1)]));
}

/** What each pencil was fitted to: the first of the fits that knows it. */
function ownFits(fits: readonly TrayFit[]) {
  const own = new Map<string, { fit: TrayFit['pencils'][number]['fit']; on: TrayFit }>();
  for (const on of fits) {
    for (const { pencilId, fit } of on.pencils) if (!own.has(pencilId)) own.set(pencilId, { fit, on });
  }
  return own;
}

/** Looks up what is typical of a type among the pencils of a fit. */
function typicalOf(pencils: readonly StoredPencil[], { pencils: fitted }: TrayFit) {
  const typeOf = new Map(pencils.map(({ id, type }) => [id, type]));
  const all = fitted.map(({ pencilId, fit }) => ({ type: typeOf.get(pencilId) ?? '', fit }));
  const known = new Map<string, ReturnType<typeof typicalPencil>>();
  return (type: string) => {
    let found = known.get(type);
    if (found === undefined) known.set(type, (found = typicalPencil(all, type)));
    return found;
  };
}
