import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { Millimetres } from '../../contracts/index.ts';
import { PAPERS, paperById, paperKind } from '../../core/laydown/index.ts';
import { decide, resizeSheet } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Select, Section } from '../parts/index.ts';
import { PaperFacts } from './paper-facts.tsx';
import { tenths } from './tenths.ts';
import { FORMATS, formatOf, outOfShape } from './formats.ts';

const MOST_OUT_OF_SHAPE = 0.03;

/** The real size of the page, from a list or by its sides, and its paper; in one line where that is settled. */
export function PaperAndSize({ settled, onLength }: { settled: boolean; onLength(): void }) {
  const { sheet } = useDesk();
  const [open, setOpen] = useState(false);
  const { widthMm, heightMm, paper } = sheet.plan.page;
  if (!settled) return <SizeAndPaper onLength={onLength} />;
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
          <SizeAndPaper onLength={onLength} />
        </div>
      )}
    </div>
  );
}

function SizeAndPaper({ onLength }: { onLength(): void }) {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
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
    void change(`size ${format.name}`, (plan) => resizeSheet(plan, widthMm, heightMm));
  };
  const format = formatOf(page.widthMm, page.heightMm);
  return (
    <Section title="Real size and paper">
      <div className="grid gap-2">
        {fitting.length > 0 && (
          <Select
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
        {sheet.scannedWidth !== null && <FromDpi scannedWidth={sheet.scannedWidth} />}
        <div className="-mx-3">
          <Button look="bare" onClick={onLength}>
            From a length that I know
          </Button>
        </div>
        <Select
          label="Paper"
          value={paperKind(page.paper)}
          options={PAPERS.map(({ id, name, says }) => ({ value: id, label: name, says }))}
          onChange={(paper) =>
            void change(`paper ${paperById(paper).name}`, (plan) => decide(plan, { page: { ...page, paper } }))
          }
        />
        <PaperFacts />
      </div>
    </Section>
  );
}

/** The resolutions that scanners are set to, dots per inch. */
const RESOLUTIONS = [100, 150, 200, 300, 400, 600, 1200];

/** The real size from the resolution that the scanner was set to. */
function FromDpi({ scannedWidth }: { scannedWidth: number }) {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
  const { picture } = sheet;
  const sizes = RESOLUTIONS.map((dpi) => {
    const widthMm = tenths((25.4 * scannedWidth) / dpi);
    return { dpi, widthMm, heightMm: tenths((widthMm * picture.height) / picture.width) };
  }).filter(({ widthMm, heightMm }) => [widthMm, heightMm].every((side) => Millimetres.safeParse(side).success));
  const now = sizes.find(({ widthMm }) => Math.abs(widthMm - sheet.plan.page.widthMm) < 0.6);
  return (
    <Select
      label="Resolution of the scan"
      value={now ? String(now.dpi) : ''}
      options={[
        ...(now ? [] : [{ value: '', label: 'scanned at …' }]),
        ...sizes.map(({ dpi, widthMm, heightMm }) => ({
          value: String(dpi),
          label: `scanned at ${dpi} dpi`,
          says: `${widthMm} × ${heightMm} mm`,
        })),
      ]}
      onChange={(value) => {
        const size = sizes.find(({ dpi }) => String(dpi) === value);
        if (size) void change(`size at ${value} dpi`, (plan) => resizeSheet(plan, size.widthMm, size.heightMm));
      }}
    />
  );
}

const Sides = z.object({ widthMm: Millimetres, heightMm: Millimetres });

function SidesForm() {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
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
    void change(`size ${widthMm} × ${heightMm} mm`, (plan) => resizeSheet(plan, widthMm, heightMm));
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
