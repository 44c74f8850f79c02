import { type NewPencil, type Whereabouts } from '../contracts/index.ts';
import { type KeyedThing, ferryStepsThings, markOf } from './ferry-steps.ts';
import { demoOwnNames, demoSets, demoWhereabouts } from './pencils.ts';

/** What laying out the demo needs of a desk. Everything put down is marked as demo. */
export interface DemoDesk {
  /** Whether the demo was ever laid out here; once removed it stays away. */
  wasLaidOut(): Promise<boolean>;
  addTray(id: string, name: string, pencils: readonly DemoPencil[]): Promise<void>;
  addSheet(sheet: DemoSheet): Promise<void>;
  markLaidOut(): Promise<void>;
}

export type DemoPencil = NewPencil & { whereabouts: Whereabouts; ownName: string };

export interface DemoSheet {
  id: string;
  title: string;
  trayId: string;
  /** Names of files in src/demo/sheets. */
  file: string;
  keyFile: string;
  widthMm: number;
  heightMm: number;
  paper: string;
  things: readonly (KeyedThing & { mark: string })[];
}

export const DEMO_TRAY = 'demo-tray';

/**
 * Lays out the demo on a desk that never had it: the demo tray and the sheet The Ferry Steps.
 * @returns whether anything was laid out
 */
export async function seedDemo(desk: DemoDesk): Promise<boolean> {
  if (await desk.wasLaidOut()) return false;
  await desk.addTray(DEMO_TRAY, 'Demo tray', demoPencils());
  await desk.addSheet({
    id: 'ferry-steps',
    title: 'The Ferry Steps',
    trayId: DEMO_TRAY,
    file: 'ferry-steps.svg',
    keyFile: 'ferry-steps.key.svg',
    widthMm: 210,
    heightMm: 210,
    paper: 'white-book',
    things: ferryStepsThings.map((thing) => ({ ...thing, mark: markOf(ferryStepsThings, thing.drawn) })),
  });
  await desk.markLaidOut();
  return true;
}

/** Every pencil of the demo sets as the tray holds it. */
export function demoPencils(): DemoPencil[] {
  return demoSets.flatMap(({ name: set, type, pencils }) =>
    pencils.map(([code, name, colour, opacity]) => ({
      id: `demo-${code.toLowerCase()}`,
      code,
      name,
      set,
      type,
      colour,
      opacity: opacity ?? null,
      whereabouts: demoWhereabouts[code] ?? 'here',
      ownName: demoOwnNames[code] ?? '',
    })),
  );
}
