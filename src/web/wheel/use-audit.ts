import { useEffect, useState } from 'react';
import { isHere } from '../../contracts/index.ts';
import { type Lab } from '../../core/colour/index.ts';
import { type Audit, type PageSummary } from '../../core/palette/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { pencilWorker } from '../workers/index.ts';

/** What there is to say of the page in these colours; null until it is worked out. */
export function useAudit(summary: PageSummary | null, colours: ReadonlyMap<string, Lab>): Audit | null {
  const { sheet, pencils, use } = useDesk();
  const { wheel, scheme } = sheet.plan.wheel;
  const [audit, setAudit] = useState<Audit | null>(null);
  useEffect(() => {
    if (!summary) return;
    let wanted = true;
    const here = pencils.filter(isHere).map(use.trayPencil);
    void pencilWorker
      .audit(summary, [...colours], here, use.paper, wheel, scheme)
      .then((found) => wanted && setAudit(found));
    return () => void (wanted = false);
  }, [summary, colours, pencils, use, wheel, scheme]);
  return audit;
}
