import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { Millimetres } from '../../contracts/index.ts';
import { PAPERS, paperById, paperKind, tintedPaper } from '../../core/laydown/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Pick, Section } from '../parts/index.ts';
import { PaperFacts } from './paper-facts.tsx';
import { FORMATS, formatOf, outOfShape } from './formats.ts';

const MOST_OUT_OF_SHAPE = 0.03;

/** The real size of the page, from a list or by its sides, and its paper; in one line where that is settled. */
export function PaperAndSize({ settled }: { settled: boolean }) {
  const { sheet } = useDesk();
  const [open, setOpen] = useState(false);
  const { widthMm, heightMm, paper } = sheet.plan.page;
  if (!settled) return <SizeAndPaper />;
  return (
    <div className="shrink-0 pb-3">
      <p className="flex items-baseline justify-between gap-3 text-[0.95rem]">
        <span>
          {widthMm} × {heightMm} mm, {paperById(paper).name}
        </span>
        <button
          type="button"
          aria-expanded={open}
          className="underline decoration-rule underline-offset-4"
          onClick={() => setOpen(!open)}
        >
          {open ? 'fold away' : 'change'}
        </button>
      </p>
      {open && (
        <div className="mt-2">
          <SizeAndPaper />
        </div>
      )}
    </div>
  );
}

function SizeAndPaper() {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'page');
  const { page } = sheet.plan;
  const wide = sheet.picture.width > sheet.picture.height;
  const fitting = FORMATS.filter(({ width, height }) => {
    const [w, h] = wide ? [height, width] : [width, height];
    return outOfShape(sheet.picture, w, h) <= MOST_OUT_OF_SHAPE;
  });
  const chooseFormat = (id: string) => {
    const format = FORMATS.find((each) => each.id === id);
    if (!format) return;
    const [widthMm, heightMm] = wide ? [format.height, format.width] : [format.width, format.height];
    void change(`size ${format.name}`, { page: { ...page, widthMm, heightMm } });
  };
  const format = formatOf(page.widthMm, page.heightMm);
  return (
    <Section title="Real size and paper">
      <div className="grid gap-2">
        {fitting.length > 0 && (
          <Pick
            label="Real size"
            value={format?.id ?? 'own'}
            options={[
              ...fitting.map(({ id, name, width, height }) => ({
                value: id as string,
                label: `${name}, ${width} × ${height} mm`,
              })),
              ...(format ? [] : [{ value: 'own', label: `${page.widthMm} × ${page.heightMm} mm` }]),
            ]}
            onChange={chooseFormat}
          />
        )}
        <SidesForm />
        <Pick
          label="Paper"
          value={paperKind(page.paper)}
          options={PAPERS.map(({ id, name, says }) => ({ value: id, label: name, says }))}
          onChange={(paper) => void change(`paper ${paperById(paper).name}`, { page: { ...page, paper } })}
        />
        <PaperTint />
        <PaperFacts />
      </div>
    </Section>
  );
}

/** The paper's tint: its kind's own, as the scan shows it, or chosen. */
function PaperTint() {
  const { sheet, page: regions } = useDesk();
  const change = usePlanChange(sheet.id, 'page');
  const { page } = sheet.plan;
  const { tint } = paperById(page.paper);
  const own = tint === paperById(paperKind(page.paper)).tint;
  const read = regions?.seen?.paper ?? null;
  const set = (label: string, value: string | null) =>
    void change(label, { page: { ...page, paper: tintedPaper(page.paper, value) } });
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

const Sides = z.object({ widthMm: Millimetres, heightMm: Millimetres });

function SidesForm() {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'page');
  const { page } = sheet.plan;
  const { register, handleSubmit, reset, setError, formState } = useForm({
    resolver: zodResolver(Sides),
    values: { widthMm: page.widthMm, heightMm: page.heightMm },
  });
  useEffect(() => reset({ widthMm: page.widthMm, heightMm: page.heightMm }), [page.widthMm, page.heightMm, reset]);
  const submit = handleSubmit(({ widthMm, heightMm }) => {
    if (outOfShape(sheet.picture, widthMm, heightMm) > MOST_OUT_OF_SHAPE) {
      const fitting = Math.round((widthMm * sheet.picture.height) / sheet.picture.width);
      return setError('heightMm', {
        message: `The picture has another shape: ${widthMm} mm wide makes it ${fitting} mm high.`,
      });
    }
    void change(`size ${widthMm} × ${heightMm} mm`, { page: { ...page, widthMm, heightMm } });
  });
  const field = 'h-10 w-full min-w-0 border border-edge bg-leaf px-2 font-figure';
  const fault = formState.errors.widthMm?.message ?? formState.errors.heightMm?.message;
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <div className="flex items-center gap-2">
        <input
          aria-label="Width in mm"
          inputMode="decimal"
          className={field}
          {...register('widthMm', { valueAsNumber: true })}
        />
        <span aria-hidden>×</span>
        <input
          aria-label="Height in mm"
          inputMode="decimal"
          className={field}
          {...register('heightMm', { valueAsNumber: true })}
        />
        <span className="text-soft">mm</span>
        <Button type="submit" disabled={!formState.isDirty}>
          Set
        </Button>
      </div>
      {fault && (
        <p role="alert" className="mt-1.5 text-[0.95rem] font-semibold">
          {fault}
        </p>
      )}
    </form>
  );
}
