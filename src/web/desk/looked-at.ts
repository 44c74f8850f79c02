import { useAppSelector } from '../app/store.ts';
import { type Desk, useDesk } from './desk-context.ts';

/** Longest side of a preview, pixels: fine enough for the desk, quick enough to scrub. */
const PREVIEW_SIDE = 1300;
/** A first look is worked out at so many times fewer pixels across and down, so that it comes at once. */
export const FIRST_LOOK = 2;
/** Pixels of a preview may be this large on the screen, CSS pixels, before it is worth painting it finer. */
const COARSE_LOOK = 1.3;

/** How many of the working picture's pixels a preview steps over. */
export function stepFor({ picture }: Desk): number {
  return Math.max(1, Math.ceil(Math.max(picture.width, picture.height) / PREVIEW_SIDE));
}

/** Whether the sheet is looked at so closely that a preview should be painted at its full resolution. */
export function useIsClose(): boolean {
  const desk = useDesk();
  const view = useAppSelector((state) => state.atTheDesk.views[desk.sheet.id]);
  return view ? view.k * stepFor(desk) > COARSE_LOOK : false;
}
