import { paperById, paperKind, tintedPaper } from '../../core/laydown/index.ts';
import { decide } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button } from '../parts/index.ts';

/** The paper's tint: its kind's own, as the scan shows it, or chosen. */
export function PaperTint() {
  const { sheet, page: regions } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
  const { page } = sheet.plan;
  const { tint } = paperById(page.paper);
  const own = tint === paperById(paperKind(page.paper)).tint;
  const read = regions?.seen?.paper ?? null;
  const set = (label: string, value: string | null) =>
    void change(label, (plan) => decide(plan, { page: { ...page, paper: tintedPaper(page.paper, value) } }));
  return (
    <div className="flex flex-wrap items-center gap-x-3 text-[0.95rem]">
      <label className="flex items-center gap-3">
        its tint
        <input
          type="color"
          className="h-10 w-14 border border-edge bg-leaf"
          value={tint}
          onChange={(event) => set('tint of the paper', event.target.value)}
        />
      </label>
      {read && read !== tint && (
        <Button look="bare" onClick={() => set('tint of the paper from the scan', read)}>
          As the scan shows it
          <span className="h-4 w-6 border border-edge" style={{ background: read }} aria-hidden />
        </Button>
      )}
      {!own && (
        <Button look="bare" onClick={() => set('usual tint of the paper', null)}>
          As usual
        </Button>
      )}
    </div>
  );
}
