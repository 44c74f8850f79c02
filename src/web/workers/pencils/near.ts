import { type Lab } from '../../../core/colour/index.ts';
import { type Pressure, PRESSURES } from '../../../core/laydown/index.ts';
import {
  type TrayPencil,
  differenceInWords,
  layTray,
  layeringsNear,
  nearestAtBest,
  opacityOf,
} from '../../../core/tray/index.ts';
import { type Job } from '../job.ts';
import { type OnPaperInput } from './on-paper.ts';
import { opticsById } from './pencil-optics.ts';

export interface NearInput extends OnPaperInput {
  target: Lab;
  /** The pencil whose colour it is, so that what covers more or less is told too. */
  of: TrayPencil | null;
  pressure: Pressure | 'any';
  /** How many to tell of. */
  limit: number;
}

/** What comes near a colour. */
export interface NearFound {
  singles: { id: string; pressure: Pressure; lab: Lab; deltaE: number; differs: string }[];
  /** Those that come nearer than any single pencil. */
  layerings: { lab: Lab; deltaE: number; toothLeft: number; layers: { id: string; pressure: Pressure }[] }[];
}

/** The pencils nearest to a colour at a pressure or at any, and layerings that come nearer than any of them. */
export const near: Job<NearInput, NearFound> = {
  run({ target, of, pencils, paper, pressure, limit }) {
    const tray = layTray(pencils, paper, opticsById(pencils));
    const singles = nearestAtBest(target, tray, pressure === 'any' ? PRESSURES : [pressure], limit).map(
      ({ index, lab, deltaE, pressure: at }) => {
        const covers = of ? ([opacityOf(pencils[index]!), opacityOf(of)] as const) : undefined;
        return { id: pencils[index]!.id, pressure: at, lab, deltaE, differs: differenceInWords(lab, target, covers) };
      },
    );
    const least = singles[0]?.deltaE ?? Infinity;
    const layerings = layeringsNear(target, tray, limit)
      .filter(({ deltaE }) => deltaE < least)
      .map(({ layers, ...layering }) => ({
        ...layering,
        layers: layers.map(({ index, pressure: at }) => ({ id: pencils[index]!.id, pressure: at })),
      }));
    return { singles, layerings };
  },
};
