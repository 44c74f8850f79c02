import type { Plan, RegionsMeta } from '../../contracts/index.ts';
import { type RegionGround } from '../../core/render/index.ts';

/** What lies on each region that is not bare, by region id: what a person said, or else what was read from the page. */
export function groundsOf(
  { regions }: Pick<Plan, 'regions'>,
  seen: RegionsMeta['seen'] | undefined,
): Map<number, RegionGround> {
  const all = new Map<number, RegionGround>();
  for (const { region, kind, colour } of seen?.grounds ?? []) all.set(region, { kind, colour, toothLeft: null });
  for (const [id, { ground }] of Object.entries(regions)) {
    if (!ground) continue;
    if (ground.kind === 'bare') all.delete(Number(id));
    else all.set(Number(id), ground);
  }
  return all;
}
