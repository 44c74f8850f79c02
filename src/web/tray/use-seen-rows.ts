import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useState } from 'react';

/** Lists of more rows than this are drawn only as far as they are seen: shorter ones are quick whole. */
const WHOLE = 240;
const BEYOND = 5;

/** The rows of a long list that are seen, and the empty room above and below them. */
export interface SeenRows {
  /** Places of the rows that are drawn. */
  rows: readonly number[];
  above: number;
  below: number;
  /** Goes onto what holds the rows, so that it is known where they begin. */
  holder(element: HTMLElement | null): void;
  /** Goes onto each row, which carries its place as `data-index`. */
  measured(element: HTMLElement | null): void;
}

/**
 * @param count of all rows
 * @param scroller the element that scrolls them, once it is there
 * @param height of a usual row, CSS pixels
 * @param lanes how many of what is counted lie side by side in a row
 */
export function useSeenRows(count: number, scroller: HTMLElement | null, height: number, lanes = 1): SeenRows {
  const [begins, setBegins] = useState(0);
  // What it gives is used here only, in the same render.
  // oxlint-disable-next-line react/incompatible-library
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller,
    estimateSize: () => height,
    overscan: BEYOND,
    scrollMargin: begins,
    enabled: count * lanes > WHOLE,
  });
  const holder = useCallback(
    (element: HTMLElement | null) => {
      if (!element || !scroller) return;
      setBegins(element.getBoundingClientRect().top - scroller.getBoundingClientRect().top + scroller.scrollTop);
    },
    [scroller],
  );
  if (count * lanes <= WHOLE) {
    return { rows: Array.from({ length: count }, (_, i) => i), above: 0, below: 0, holder, measured: nothing };
  }
  const items = virtual.getVirtualItems();
  return {
    rows: items.map(({ index }) => index),
    above: items[0] ? items[0].start - begins : 0,
    below: items.length ? virtual.getTotalSize() - (items.at(-1)!.end - begins) : 0,
    holder,
    measured: virtual.measureElement,
  };
}

function nothing(): void {
  // Rows that are all drawn need not be measured.
}
