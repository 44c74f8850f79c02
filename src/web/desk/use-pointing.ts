import { useState } from 'react';
import { thingsOf } from '../../plan/index.ts';
import { useDesk } from './desk-context.ts';
import { regionAt, tinyRegionsAround } from './region-at.ts';
import { type View } from './use-viewport.ts';

/** A click or the pointer means what lies within so many CSS pixels of it. */
const REACH_PX = 6;

interface Pointing {
  view: View | undefined;
  pointUnder(event: React.MouseEvent): { x: number; y: number };
  /** Called with the region clicked, or null beside all; with shift or ctrl to add to the choice. */
  onPick?(regionId: number | null, add: boolean): void;
  /** Called with the region pointed at, by mouse or by the arrow keys, or null. */
  onHover?(regionId: number | null): void;
}

/** Pointing at regions and choosing them, by mouse and by keys. */
export function usePointing({ view, pointUnder, onPick, onHover }: Pointing) {
  const { sheet, page } = useDesk();
  const [hovered, setHovered] = useState<number | null>(null);
  const [told, setTold] = useState('');
  const [enlarged, setEnlarged] = useState<{ x: number; y: number } | null>(null);
  const regionUnder = (event: React.MouseEvent) => {
    if (!page || !view) return null;
    const { x, y } = pointUnder(event);
    return regionAt(page, x, y, REACH_PX / view.k);
  };
  const hover = (id: number | null) => {
    if (id === hovered) return;
    setHovered(id);
    onHover?.(id);
  };
  return {
    hovered,
    /** The region that keys came to, as it is read out. */
    told,
    /** Where tiny regions are enlarged, so that one of them can be chosen; pixels of the picture. */
    enlarged,
    setEnlarged,
    onMouseMove: (event: React.MouseEvent) => hover(regionUnder(event)),
    onMouseLeave: () => hover(null),
    onClick(event: React.MouseEvent) {
      if (!onPick) return;
      const at = pointUnder(event);
      const several = page && view && tinyRegionsAround(page, at.x, at.y, REACH_PX / view.k, view.k).length > 0;
      setEnlarged(several ? at : null);
      if (!several) onPick(regionUnder(event), event.shiftKey || event.ctrlKey || event.metaKey);
    },
    /** Arrow keys step through the regions in reading order, Enter chooses, Space adds to the choice, Escape lets go. */
    onKeyDown(event: React.KeyboardEvent) {
      if (!page || !onPick) return;
      const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
      if (by) {
        const id = (((hovered ?? (by > 0 ? 0 : 1)) - 1 + by + page.regions.length) % page.regions.length) + 1;
        hover(id);
        const thing = thingsOf(sheet.plan).find(({ regionIds }) => regionIds.includes(id));
        setTold(`Region ${id}${thing ? `, ${thing.name}` : ''}`);
      } else if (event.key === 'Enter' || event.key === ' ') onPick(hovered, event.key === ' ');
      else if (event.key === 'Escape') onPick(null, false);
      else return;
      event.preventDefault();
    },
  };
}
