import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { ChevronRight } from 'lucide-react';
import { useForm, useWatch } from 'react-hook-form';
import { toast } from 'sonner';
import { type Pencil, PencilEdit } from '../../contracts/index.ts';
import { PENCIL_TYPES } from '../../core/laydown/index.ts';
import { useEditPencilMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Button, Notice, Select } from '../parts/index.ts';
import { hardnessWords } from './pencil-words.ts';

const FIELD = 'h-10 w-full min-w-0 border border-edge bg-leaf px-3';
const OPACITIES = ['type', '0.1', '0.25', '0.4', '0.55', '0.7', '0.85', '1'] as const;
/** A hardness for each word that cores are told by. */
const CORES = [null, 0.2, 0.38, 0.5, 0.75].map((hardness) => ({ hardness, words: hardnessWords(hardness) }));
const asNumber = (value: unknown) => (value === '' || value === null ? null : Number(value));

/** What its owner knows of a pencil, to be changed and taken back. */
export function ChangePencil({ pencil }: { pencil: Pencil }) {
  const { name, ownName, type, colour, opacity, note, leadMm, hardness } = pencil;
  const values: PencilEdit = { name, ownName, type, colour, opacity, note, leadMm, hardness };
  const [edit, { isLoading }] = useEditPencilMutation();
  const { register, handleSubmit, setValue, control, formState } = useForm({
    resolver: zodResolver(PencilEdit),
    values,
  });
  const now = useWatch({ control });
  const fault = Object.values(formState.errors).find((error) => error?.message)?.message;
  const save = async (next: PencilEdit) => {
    const send = (body: PencilEdit) => edit({ trayId: pencil.trayId, pencilId: pencil.id, edit: body });
    const { error } = await send(next);
    if (error) return void toast.error(sentenceOf(error));
    toast(`${pencil.code} is changed.`, { action: { label: 'Take it back', onClick: () => void send(values) } });
  };
  return (
    <Disclosure>
      <DisclosureButton className="group mt-3 flex min-h-10 w-full items-center gap-1 text-left text-[0.95rem]">
        <ChevronRight size={16} aria-hidden className="group-data-open:rotate-90" />
        Change what is known of it
      </DisclosureButton>
      <DisclosurePanel>
        <form
          className="grid gap-2 pb-2 text-[0.95rem]"
          aria-label={`Change ${pencil.code}`}
          onSubmit={(event) => void handleSubmit(save)(event)}
        >
          <label>
            <span className="text-soft">Name on it</span>
            <input {...register('name')} className={FIELD} />
          </label>
          <label>
            <span className="text-soft">Your name for it</span>
            <input {...register('ownName')} className={FIELD} />
          </label>
          <Select
            label="Type"
            value={now.type ?? type}
            options={PENCIL_TYPES.map((each) => ({ value: each.id, label: each.name }))}
            onChange={(value) => setValue('type', value, { shouldDirty: true })}
          />
          <div className="grid grid-cols-[5rem_1fr] gap-2">
            <input type="color" aria-label="Declared colour" {...register('colour')} className={`${FIELD} p-1!`} />
            <Select
              label="Opacity"
              value={now.opacity === null || now.opacity === undefined ? 'type' : nearest(now.opacity)}
              options={OPACITIES.map((value) => ({
                value,
                label: value === 'type' ? 'as its type covers' : `covers ${Math.round(100 * Number(value))}%`,
              }))}
              onChange={(value) => setValue('opacity', value === 'type' ? null : Number(value), { shouldDirty: true })}
            />
          </div>
          <Select
            label="Core"
            value={String(CORES.find(({ words }) => words === hardnessWords(now.hardness ?? null))?.hardness ?? '')}
            options={CORES.map(({ hardness: value, words }) => ({
              value: String(value ?? ''),
              label: words ? `a ${words} core` : 'core not known',
            }))}
            onChange={(value) => setValue('hardness', asNumber(value), { shouldDirty: true })}
          />
          <label>
            <span className="text-soft">Lead left, mm</span>
            <input
              type="number"
              step="any"
              inputMode="decimal"
              {...register('leadMm', { setValueAs: asNumber })}
              className={FIELD}
            />
          </label>
          <label>
            <span className="text-soft">Note: misleading barrel, squeaks, breaks</span>
            <textarea {...register('note')} rows={2} className="w-full border border-edge bg-leaf p-2" />
          </label>
          {fault && <Notice kind="refused">{fault}</Notice>}
          <Button type="submit" look="strong" disabled={!formState.isDirty || isLoading}>
            Keep the change
          </Button>
        </form>
      </DisclosurePanel>
    </Disclosure>
  );
}

function nearest(opacity: number): (typeof OPACITIES)[number] {
  return OPACITIES.slice(1).reduce((best, value) =>
    Math.abs(Number(value) - opacity) < Math.abs(Number(best) - opacity) ? value : best,
  );
}
