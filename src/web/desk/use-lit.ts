import { useMemo } from 'react';
import { layersFor } from '../../core/recipe/index.ts';
import { useAppSelector } from '../app/store.ts';
import { useDesk } from './desk-context.ts';
import { thingsOf } from '../../plan/index.ts';

const NOTHING: readonly number[] = [];

/** The regions that the pencil pointed at goes to. */
export function useLitRegions(): readonly number[] {
  const { sheet, page, recipes } = useDesk();
  const pencilId = useAppSelector((state) => state.atTheDesk.pencilId);
  const things = thingsOf(sheet.plan);
  return useMemo(() => {
    if (!pencilId || !page) return NOTHING;
    return things.flatMap((thing) => {
      const recipe = recipes.get(thing.id);
      if (!recipe?.layers.some((layer) => layer.pencil === pencilId)) return [];
      return thing.regionIds.filter((id) =>
        layersFor(recipe, page.regions[id - 1]?.usableWidthMm ?? 0).some((layer) => layer.pencil === pencilId),
      );
    });
  }, [pencilId, page, recipes, things]);
}
