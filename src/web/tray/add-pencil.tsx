import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { ChevronRight } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useForm, useWatch } from 'react-hook-form';
import { toast } from 'sonner';
import { NewPencil, type Pencil } from '../../contracts/index.ts';
import { PENCIL_TYPES } from '../../core/laydown/index.ts';
import { useAddPencilsMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Button, Notice, Select } from '../parts/index.ts';

const FIELD = 'h-10 w-full min-w-0 border border-edge bg-leaf px-3';
const OnePencil = NewPencil.omit({ id: true });
const EMPTY = { code: '', name: '', set: '', type: 'wax', colour: '#7a8f6a', opacity: null };

/** Puts a single pencil into the tray, as it is declared on its barrel or tin. */
export function AddPencil({ trayId, pencils }: { trayId: string; pencils: readonly Pencil[] }) {
  const [add, { isLoading }] = useAddPencilsMutation();
  const { register, handleSubmit, setValue, reset, control, formState } = useForm({
    resolver: zodResolver(OnePencil),
    defaultValues: EMPTY,
  });
  const type = useWatch({ control, name: 'type' });
  const fault = Object.values(formState.errors).find((error) => error?.message)?.message;
  const sets = [...new Set(pencils.map(({ set }) => set))].filter(Boolean);
  const put = async (pencil: Omit<NewPencil, 'id'>) => {
    const { data, error } = await add({ trayId, pencils: [{ ...pencil, id: nanoid() }], readings: [] });
    if (error) return void toast.error(sentenceOf(error));
    if (data.there > 0) return void toast.error(`${pencil.code} lies in this tray already.`);
    toast(`${pencil.code} lies in the tray.`);
    // The next one is often of the same box.
    reset({ ...EMPTY, set: pencil.set, type: pencil.type });
  };
  return (
    <Disclosure as="section" className="border-b border-rule py-2">
      <DisclosureButton className="group flex min-h-10 w-full items-center gap-1 text-left font-head text-[1.05rem] font-semibold">
        <ChevronRight size={16} aria-hidden className="group-data-open:rotate-90" />
        Add a single pencil
      </DisclosureButton>
      <DisclosurePanel>
        <form
          className="grid gap-2 pb-3 text-[0.95rem]"
          aria-label="Add a pencil"
          onSubmit={(event) => void handleSubmit(put)(event)}
        >
          <div className="grid grid-cols-[7rem_1fr] gap-2">
            <label>
              <span className="text-soft">Code</span>
              <input {...register('code')} className={FIELD} />
            </label>
            <label>
              <span className="text-soft">Name</span>
              <input {...register('name')} className={FIELD} />
            </label>
          </div>
          <label>
            <span className="text-soft">Set</span>
            <input {...register('set')} list="sets-of-tray" className={FIELD} />
            <datalist id="sets-of-tray">
              {sets.map((set) => (
                <option key={set} value={set} />
              ))}
            </datalist>
          </label>
          <div className="grid grid-cols-[5rem_1fr] gap-2">
            <input
              type="color"
              aria-label="Colour at full strength"
              {...register('colour')}
              className={`${FIELD} p-1!`}
            />
            <Select
              label="Type of the pencil"
              value={type}
              options={PENCIL_TYPES.map((each) => ({ value: each.id, label: each.name }))}
              onChange={(value) => setValue('type', value)}
            />
          </div>
          {fault && <Notice kind="refused">{fault}</Notice>}
          <Button type="submit" disabled={isLoading}>
            Put it in the tray
          </Button>
        </form>
      </DisclosurePanel>
    </Disclosure>
  );
}
