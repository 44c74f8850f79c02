import { useCallback } from 'react';
import { thingsOf } from '../../plan/index.ts';
import { useAppDispatch } from '../app/store.ts';
import { chooseThing } from './at-the-desk.ts';
import { useDesk } from './desk-context.ts';

/** What a click on the sheet does where things are worked on: it chooses the thing that the region belongs to. */
export function usePickThing(): (regionId: number | null) => void {
  const { sheet } = useDesk();
  const dispatch = useAppDispatch();
  const things = thingsOf(sheet.plan);
  return useCallback(
    (regionId) => {
      const thing = things.find((each) => regionId !== null && each.regionIds.includes(regionId));
      dispatch(chooseThing(thing ?? null));
    },
    [dispatch, things],
  );
}
