import { nanoid } from 'nanoid';
import { useCallback } from 'react';
import { toast } from 'sonner';
import type { PlanChange, Stage } from '../../contracts/index.ts';
import { type State, store, useAppSelector } from '../app/store.ts';
import { setOut } from './changes-under-way.ts';
import { deskApi } from './desk-api.ts';
import { isStale, sentenceOf } from './sentence.ts';

/** Requests that change a sheet go one after the other, so that each knows the revision the one before it made. */
let queue: Promise<unknown> = Promise.resolve();

function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const next = queue.then(work, work);
  queue = next.catch(() => undefined);
  return next;
}

const sheetOf = (state: State, sheetId: string) => deskApi.endpoints.sheet.select(sheetId)(state).data;

/** Shows a change at once, sends it in turn, and takes the newer state over when it was refused. */
export function changePlan(sheetId: string, stage: Stage, label: string, change: PlanChange): Promise<void> {
  const shown = store.dispatch(
    deskApi.util.updateQueryData('sheet', sheetId, (sheet) => {
      Object.assign(sheet.plan, change);
    }),
  );
  const id = nanoid();
  const answered = setOut(sheetId, change);
  return inTurn(async () => {
    const baseRevision = sheetOf(store.getState(), sheetId)?.revision ?? 0;
    const command = { id, stage, label: label.slice(0, 120), baseRevision, change };
    const result = await store.dispatch(deskApi.endpoints.command.initiate({ sheetId, command }));
    answered();
    if (result.error) refused(sheetId, result.error, shown.undo);
  });
}

/** Takes the last change to a sheet back, or does it again. */
export function stepBack(sheetId: string, which: 'undo' | 'redo'): Promise<void> {
  return inTurn(async () => {
    const baseRevision = sheetOf(store.getState(), sheetId)?.revision ?? 0;
    const result = await store.dispatch(deskApi.endpoints[which].initiate({ sheetId, baseRevision }));
    if (result.error) refused(sheetId, result.error, () => undefined);
  });
}

function refused(sheetId: string, error: unknown, takeBack: () => void): void {
  if (isStale(error))
    void store.dispatch(deskApi.endpoints.sheet.initiate(sheetId, { forceRefetch: true, subscribe: false }));
  else takeBack();
  toast.error(sentenceOf(error));
}

/** `changePlan` for one sheet and stage. */
export function usePlanChange(sheetId: string, stage: Stage) {
  return useCallback(
    (label: string, change: PlanChange) => changePlan(sheetId, stage, label, change),
    [sheetId, stage],
  );
}

/** Whether something is on its way to the server. */
export function useSaving(): boolean {
  return useAppSelector((state) =>
    Object.values(state.deskApi.mutations).some((mutation) => mutation?.status === 'pending'),
  );
}
