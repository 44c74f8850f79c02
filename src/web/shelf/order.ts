import type { SheetCard } from '../../contracts/index.ts';

/** The ways in which sheets can lie on the shelf. */
export const ORDERS = [
  { id: 'latest', label: 'latest work first' },
  { id: 'title', label: 'by name' },
  { id: 'furthest', label: 'furthest first' },
] as const;
export type Order = (typeof ORDERS)[number]['id'];

/** The cards whose title holds what is sought, in this order; cards come with the latest work first. */
export function arranged(cards: readonly SheetCard[], order: Order, sought: string): SheetCard[] {
  const wanted = sought.trim().toLowerCase();
  const found = cards.filter(({ title }) => title.toLowerCase().includes(wanted));
  if (order === 'title') return found.sort((p, q) => p.title.localeCompare(q.title, 'en', { numeric: true }));
  if (order === 'furthest') return found.sort((p, q) => progressOf(q) - progressOf(p));
  return found;
}

/** From 0, not begun, to 1, done: steps count most, then things, then regions. */
function progressOf({ regions, things, steps, stepsDone }: SheetCard): number {
  if (steps) return 0.2 + (0.8 * stepsDone) / steps;
  return things ? 0.2 : regions ? 0.1 : 0;
}

/** The title of a copy, numbered on, and never longer than a title may be. */
export function copyTitle(title: string): string {
  const numbered = /^(.*), copy(?: (\d+))?$/.exec(title);
  const base = numbered?.[1] ?? title;
  const ending = numbered ? `, copy ${Number(numbered[2] ?? 1) + 1}` : ', copy';
  return base.slice(0, 60 - ending.length).trimEnd() + ending;
}
