import { nanoid } from 'nanoid';
import PQueue from 'p-queue';
import { useCallback, useSyncExternalStore } from 'react';
import { toast } from 'sonner';
import { type Command, type Stage, Plan } from '../../contracts/index.ts';
import { type PlanEdit, PatchError, difference, edited, patched } from '../../plan/index.ts';
import { type State, store, useAppSelector } from '../app/store.ts';
import { trackPending } from './changes-under-way.ts';
import { deskApi } from './desk-api.ts';
import { conflictIn, isStale, sentenceOf } from './sentence.ts';

/** Requests that change a sheet go one after the other, so that each knows the revision the one before it made. */
const queues = new Map<string, PQueue>();

function enqueue(sheetId: string, work: () => Promise<void>): Promise<void> {
  const queue = queues.get(sheetId) ?? new PQueue({ concurrency: 1 });
  queues.set(sheetId, queue);
  count(1);
  return queue.add(work).finally(() => count(-1));
}

/** How many changes wait or are under way. */
let unsaved = 0;
const listeners = new Set<() => void>();

function count(more: number): void {
  unsaved += more;
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

const sheetOf = (state: State, sheetId: string) => deskApi.endpoints.sheet.select(sheetId)(state).data;

/** Shows a change at once and sends it in turn. Where the same was changed elsewhere meanwhile, the person is asked. */
export function changePlan(sheetId: string, stage: Stage, label: string, edit: PlanEdit): Promise<void> {
  const sheet = sheetOf(store.getState(), sheetId);
  if (!sheet) return Promise.resolve();
  const made = madeTo(sheet.plan, edit);
  if (typeof made === 'string') {
    toast.error(made);
    return Promise.resolve();
  }
  const { plan, ...change } = made;
  if (change.patches.length === 0) return Promise.resolve();
  const shown = store.dispatch(
    deskApi.util.updateQueryData('sheet', sheetId, (draft) => {
      draft.plan = plan;
    }),
  );
  const settle = trackPending(sheetId, change.patches);
  const { regionsFrom } = sheet.plan;
  const command: Command = { id: nanoid(), stage, label: label.slice(0, 120), ...change, regionsFrom };
  return enqueue(sheetId, async () => {
    const { error } = await store.dispatch(deskApi.endpoints.command.initiate({ sheetId, command }));
    settle();
    if (!error) return;
    const conflict = conflictIn(error);
    if (!conflict) return refused(sheetId, error, shown.undo);
    await newest(sheetId);
    toast.warning(`Elsewhere: ${conflict.there}. Here: ${conflict.here}.`, {
      description: 'Both change the same. What was done elsewhere stands; yours can be put in its place.',
      duration: Infinity,
      action: { label: 'Put mine there', onClick: () => void changePlan(sheetId, stage, label, edit) },
      cancel: { label: 'Keep theirs', onClick: () => undefined },
    });
  });
}

/** A plan as an edit leaves it, as it will be stored; or why it cannot be. */
function madeTo(plan: Plan, edit: PlanEdit) {
  try {
    const parsed = Plan.safeParse(edited(plan, edit).plan);
    if (!parsed.success) return parsed.error.issues[0]?.message ?? 'This plan cannot be stored.';
    const change = difference(plan, parsed.data);
    return { ...change, plan: patched(plan, change.patches) };
  } catch (error) {
    if (error instanceof PatchError) return error.message;
    throw error;
  }
}

/** Takes the last change to a sheet back, or does it again. */
export function stepBack(sheetId: string, which: 'undo' | 'redo'): Promise<void> {
  return enqueue(sheetId, async () => {
    const baseRevision = sheetOf(store.getState(), sheetId)?.revision ?? 0;
    const { error } = await store.dispatch(deskApi.endpoints[which].initiate({ sheetId, baseRevision }));
    if (error) await refused(sheetId, error, () => undefined);
  });
}

async function refused(sheetId: string, error: unknown, takeBack: () => void): Promise<void> {
  if (isStale(error)) await newest(sheetId);
  else takeBack();
  toast.error(sentenceOf(error));
}

async function newest(sheetId: string): Promise<void> {
  await store.dispatch(deskApi.endpoints.sheet.initiate(sheetId, { forceRefetch: true, subscribe: false }));
}

/** `changePlan` for one sheet and stage. */
export function usePlanChange(sheetId: string, stage: Stage) {
  return useCallback((label: string, edit: PlanEdit) => changePlan(sheetId, stage, label, edit), [sheetId, stage]);
}

/** Whether something is on its way to the server. */
export function useSaving(): boolean {
  const changes = useSyncExternalStore(subscribe, () => unsaved > 0);
  const others = useAppSelector((state) =>
    Object.values(state.deskApi.mutations).some((mutation) => mutation?.status === 'pending'),
  );
  return changes || others;
}
