import { useAppSelector } from '../app/store.ts';

/** What is chosen on the sheet. Does not change with what is only pointed at. */
export function useChosen(): { regionIds: readonly number[]; thingId: string | null } {
  const regionIds = useAppSelector((state) => state.atTheDesk.regionIds);
  const thingId = useAppSelector((state) => state.atTheDesk.thingId);
  return { regionIds, thingId };
}
