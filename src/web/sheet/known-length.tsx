import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, useWatch } from 'react-hook-form';
import { z } from 'zod';
import { Millimetres } from '../../contracts/index.ts';
import { resizeSheet } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Section } from '../parts/index.ts';
import { tenths } from './tenths.ts';

interface Point {
  x: number;
  y: number;
}

const Length = z.object({
  mm: z
    .number({ error: 'Type the length in mm.' })
    .min(2, 'Measure something of 2 mm at least; the longer, the surer.')
    .max(2000, 'No page is longer than 2,000 mm.'),
});

/** The real size of the page from one length on it that was measured with a ruler. */
export function KnownLength({ line, onLeave }: { line: readonly Point[] | null; onLeave(): void }) {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
  const { page } = sheet.plan;
  const [from, to] = line ?? [];
  const now = from && to ? Math.hypot(to.x - from.x, to.y - from.y) : 0;
  const { register, control, handleSubmit, setError, formState } = useForm({
    resolver: zodResolver(Length),
    defaultValues: { mm: undefined as unknown as number },
  });
  const typed = useWatch({ control, name: 'mm' });
  const sizeFor = (mm: number): [number, number] => [
    tenths((page.widthMm * mm) / now),
    tenths((page.heightMm * mm) / now),
  ];
  const submit = handleSubmit(({ mm }) => {
    const [widthMm, heightMm] = sizeFor(mm);
    const fault = [widthMm, heightMm].map((side) => Millimetres.safeParse(side)).find(({ success }) => !success);
    if (fault) {
      return setError('mm', { message: `That would make the page ${widthMm} × ${heightMm} mm, which no page is.` });
    }
    void change(`size from a length of ${mm} mm`, (plan) => resizeSheet(plan, widthMm, heightMm));
    onLeave();
  });
  if (!line) {
    return (
      <Section title="A length that you know">
        <p>
          Lay a ruler on the paper, between two points as far apart as you can find: corners of the frame are best. Then
          set the same two points on the page here.
        </p>
        <Button className="mt-3" onClick={onLeave}>
          Leave it
        </Button>
      </Section>
    );
  }
  return (
    <Section title="A length that you know">
      <p>At the present size this line is {now.toFixed(1)} mm long.</p>
      <form onSubmit={(event) => void submit(event)} noValidate className="mt-2">
        <label className="flex items-center gap-2">
          The ruler says
          <input
            autoFocus
            inputMode="decimal"
            aria-label="Length by the ruler in mm"
            className="h-10 w-24 border border-edge bg-leaf px-2 font-figure"
            {...register('mm', { valueAsNumber: true })}
          />
          <span className="text-soft">mm</span>
        </label>
        {formState.errors.mm && (
          <p role="alert" className="mt-1.5 text-[0.95rem] font-semibold">
            {formState.errors.mm.message}
          </p>
        )}
        {typed >= 2 && (
          <p className="mt-1.5 text-soft">
            So the page is {sizeFor(typed)[0]} × {sizeFor(typed)[1]} mm.
          </p>
        )}
        <div className="mt-3 flex gap-2">
          <Button type="submit" look="strong" className="flex-1">
            Set the size
          </Button>
          <Button onClick={onLeave}>Leave it</Button>
        </div>
      </form>
    </Section>
  );
}
