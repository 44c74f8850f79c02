import { useEffect } from 'react';

/** What keys do at the table, by the key as browsers name it. */
export type TableKeys = Readonly<Record<string, (event: KeyboardEvent) => void>>;

/** Listens to keys while no control has the focus and no card lies over the table. */
export function useTableKeys(keys: TableKeys): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const inControl =
        event.target instanceof Element &&
        event.target.closest('button, input, textarea, select, a, [role="button"], [role="dialog"], [role="menu"]');
      if (inControl || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      const act = keys[event.code === 'Space' ? 'Space' : event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!act) return;
      event.preventDefault();
      act(event);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [keys]);
}
