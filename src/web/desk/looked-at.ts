import { useAppSelector } from '../app/store.ts';
import { useDesk } from './desk-context.ts';
import { stepAt, stepFor } from './preview-step.ts';

/** Pixels of a preview may be this large on the screen, CSS pixels, before it is worth painting it finer. */
const COARSE_LOOK = 1.3;

/** How many of the working picture's pixels the previews on the screen step over; null until the sheet is shown. */
export function useShownStep(): number | null {
  const finest = stepFor(useDesk());
  return useAppSelector(({ atTheDesk: { scale } }) =>
    scale === null ? null : stepAt(scale, window.devicePixelRatio, finest),
  );
}

/** Whether the sheet is looked at so closely that a preview should be painted at its full resolution. */
export function useIsClose(): boolean {
  const finest = stepFor(useDesk());
  return useAppSelector(({ atTheDesk: { scale } }) => scale !== null && scale * finest > COARSE_LOOK);
}
