import type { PlanChange, SheetState } from '../../contracts/index.ts';

/** Changes to each sheet that are shown already and that the server has not answered, oldest first. */
const underWay = new Map<string, PlanChange[]>();

/** Counts a change as under way until the returned function is called. */
export function setOut(sheetId: string, change: PlanChange): () => void {
  underWay.set(sheetId, [...(underWay.get(sheetId) ?? []), change]);
  return () => {
    const left = (underWay.get(sheetId) ?? []).filter((other) => other !== change);
    if (left.length) underWay.set(sheetId, left);
    else underWay.delete(sheetId);
  };
}

/**
 * A sheet as the server tells it, with what was changed since on top: an answer to an earlier change must not take a
 * later one off the screen, or the next change would be made without it.
 */
export function withChangesUnderWay(sheet: SheetState): SheetState {
  const changes = underWay.get(sheet.id);
  return changes ? { ...sheet, plan: Object.assign({}, sheet.plan, ...changes) as SheetState['plan'] } : sheet;
}
