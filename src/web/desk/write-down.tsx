import { zodResolver } from '@hookform/resolvers/zod';
import { nanoid } from 'nanoid';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { NewNote } from '../../contracts/index.ts';
import { useAddNoteMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Button } from '../parts/index.ts';

const Draft = NewNote.pick({ kind: true, text: true });

/** Writes down a note, or a mistake to learn from. */
export function WriteDown({ sheetId, onKept }: { sheetId: string; onKept?(): void }) {
  const [add] = useAddNoteMutation();
  const { register, handleSubmit, reset, formState } = useForm({
    resolver: zodResolver(Draft),
    defaultValues: { kind: 'note' as const, text: '' },
  });
  const keep = handleSubmit(async (draft) => {
    const note = { ...draft, id: nanoid(), at: new Date().toISOString() };
    const { error } = await add({ sheetId, note });
    if (error) toast.error(sentenceOf(error));
    else {
      reset();
      onKept?.();
    }
  });
  return (
    <form onSubmit={(event) => void keep(event)} className="grid gap-2" noValidate>
      <label className="sr-only" htmlFor="note-text">
        What to write down
      </label>
      <textarea
        id="note-text"
        rows={3}
        placeholder="What went well, what to do differently"
        className="w-full border border-edge bg-leaf p-2 placeholder:text-soft"
        {...register('text')}
      />
      {formState.errors.text && (
        <p role="alert" className="text-[0.95rem] font-semibold">
          {formState.errors.text.message}
        </p>
      )}
      <div className="flex items-center justify-between gap-2">
        <label className="flex min-h-10 items-center gap-2 text-[0.95rem]">
          <input type="radio" value="note" className="h-4 w-4 accent-neutral-800" {...register('kind')} /> a note
        </label>
        <label className="flex min-h-10 items-center gap-2 text-[0.95rem]">
          <input type="radio" value="mistake" className="h-4 w-4 accent-neutral-800" {...register('kind')} /> a mistake
        </label>
        <Button type="submit" disabled={formState.isSubmitting}>
          Write it down
        </Button>
      </div>
    </form>
  );
}
