import type { Patch, SheetState } from '../../contracts/index.ts';
import { PatchError, patched } from '../../plan/index.ts';

/** Changes to each sheet that are shown already and that the server has not answered, oldest first. */
const underWay = new Map<string, (readonly Patch[])[]>();

/** Counts a change as under way until the returned function is called. */
export function trackPending(sheetId: string, patches: readonly Patch[]): () => void {
  underWay.set(sheetId, [...(underWay.get(sheetId) ?? []), patches]);
  return () => {
    const left = (underWay.get(sheetId) ?? []).filter((other) => other !== patches);
    if (left.length) underWay.set(sheetId, left);
    else underWay.delete(sheetId);
  };
}

/**
 * A sheet as the server tells it, with what was changed since on top: an answer to an earlier change must not take a
 * later one off the screen, or the next change would be made without it.
 */
export function withChangesUnderWay(sheet: SheetState): SheetState {
  const plan = (underWay.get(sheet.id) ?? []).reduce((made, patches) => {
    try {
      return patched(made, patches);
    } catch (error) {
      // What it speaks of is gone meanwhile: the server will say so.
      if (error instanceof PatchError) return made;
      throw error;
    }
  }, sheet.plan);
  return plan === sheet.plan ? sheet : { ...sheet, plan };
}
