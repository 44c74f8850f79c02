import isEqual from 'fast-deep-equal';
import { type Draft, produce } from 'immer';
import type { Patch, Plan } from '../contracts/index.ts';

/** Changes a draft of a plan in place. */
export type PlanEdit = (plan: Draft<Plan>) => void;

/** What turned one plan into another, and what turns it back. */
export interface PlanDifference {
  patches: Patch[];
  inverse: Patch[];
}

/** A patch does not fit the plan that it was to change. */
export class PatchError extends Error {
  override name = 'PatchError';
}

/** A plan as an edit leaves it, with the patches of that; parts that do not change stay the same objects. */
export function edited(plan: Plan, edit: PlanEdit): PlanDifference & { plan: Plan } {
  const next = produce(plan, (draft) => void edit(draft));
  return { plan: next, ...difference(plan, next) };
}

/**
 * The patches between two plans. Lists are set whole, not by place: an entry that moved means nothing to another device
 * whose list is a different one.
 */
export function difference(before: Plan, after: Plan): PlanDifference {
  const found: PlanDifference = { patches: [], inverse: [] };
  compare(before, after, [], found);
  return found;
}

function compare(before: unknown, after: unknown, path: readonly string[], found: PlanDifference): void {
  if (before === after) return;
  if (isRecord(before) && isRecord(after)) {
    for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
      compare(before[key], after[key], [...path, key], found);
    }
  } else if (!isEqual(before, after)) {
    found.patches.push(patch(path, after));
    found.inverse.push(patch(path, before));
  }
}

/** Sets a value, or takes away what is undefined: JSON knows no other way to say it. */
function patch(path: readonly string[], value: unknown): Patch {
  return value === undefined ? { path } : { path, value: value as Patch['value'] };
}

/**
 * A plan with patches made to it, in turn; the plan given stays as it is.
 * @throws PatchError where the place of a patch lies in something that is not there
 */
export function patched(plan: Plan, patches: readonly Patch[]): Plan {
  return produce(plan, (draft) => {
    for (const { path, value } of patches) {
      const [parent, key] = [valueAt(draft, path.slice(0, -1)), path.at(-1)!];
      // On a plain object this name is no property but its prototype.
      if (!isRecord(parent) || key === '__proto__')
        throw new PatchError('This change speaks of something that is not in the plan.');
      if (value === undefined) delete parent[key];
      else parent[key] = value;
    }
  });
}

/** The value at a path of a plan; undefined where nothing is there. */
export function valueAt(plan: Plan, path: readonly string[]): unknown {
  return path.reduce<unknown>((at, key) => (isRecord(at) && Object.hasOwn(at, key) ? at[key] : undefined), plan);
}

/** Those patches whose places hold something else than what the person who changed them saw there. */
export function conflictsOf(plan: Plan, { patches, inverse }: Readonly<PlanDifference>): Patch[] {
  const seen = new Map(inverse.map(({ path, value }) => [JSON.stringify(path), value]));
  return patches.filter(({ path, value }) => {
    const there = valueAt(plan, path);
    return !isEqual(there, seen.get(JSON.stringify(path))) && !isEqual(there, value);
  });
}

/** Whether two lists of patches set or take away anything in the same place, or one a part of what the other does. */
export function overlap(some: readonly Patch[], others: readonly Patch[]): boolean {
  const places = others.map(({ path }) => path);
  return some.some(({ path }) => places.some((other) => isWithin(path, other) || isWithin(other, path)));
}

function isWithin(path: readonly string[], other: readonly string[]): boolean {
  return other.every((key, i) => path[i] === key);
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
