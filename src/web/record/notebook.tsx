import { zodResolver } from '@hookform/resolvers/zod';
import { format } from 'date-fns';
import { nanoid } from 'nanoid';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { NewNote, type Note, type Trial } from '../../contracts/index.ts';
import { hexOfLab, labOfHex } from '../../core/colour/index.ts';
import { bareGround, layPasses, paperById, pencilOptics } from '../../core/laydown/index.ts';
import { useAddNoteMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Button, PressureMark } from '../parts/index.ts';

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

/** A note as it stands between the steps of its evening. */
export function NoteLine({ note }: { note: Note }) {
  return (
    <p
      className={`my-2 py-1 pl-3 text-[0.95rem] ${note.kind === 'mistake' ? 'hatched-edge' : 'border-l-2 border-rule'}`}
    >
      <span className="font-figure text-[0.85rem] text-soft">{format(new Date(note.at), 'HH:mm')} </span>
      {note.kind === 'mistake' && <strong>A mistake. </strong>}
      {note.text}
    </p>
  );
}

/** Trial swatches from scrap paper, each with its passes one over the other as the layer model lays them. */
export function Trials({ trials }: { trials: readonly Trial[] }) {
  return (
    <ul className="grid gap-3">
      {trials.map((trial) => (
        <li key={trial.id} className="bg-leaf p-2.5">
          <div className="flex items-baseline justify-between gap-2">
            <span className="font-semibold">{trial.title}</span>
            <span className="text-sm text-soft">{trial.kept ? 'kept' : 'not taken'}</span>
          </div>
          <TrialStrip trial={trial} />
          <ol className="mt-1 flex flex-wrap gap-x-4 text-[0.92rem]">
            {trial.passes.map(({ code, pressure }, i) => (
              <li key={i} className="flex items-center gap-1.5">
                <span className="font-figure font-bold">{code}</span>
                <PressureMark pressure={pressure} /> {pressure}
              </li>
            ))}
          </ol>
          {trial.said && <p className="mt-1 text-[0.92rem] text-soft">{trial.said}</p>}
        </li>
      ))}
    </ul>
  );
}

/** Each field has one pass more than the one before it. */
function TrialStrip({ trial }: { trial: Trial }) {
  const passes = trial.passes.map(({ colour, type, pressure }) => ({
    pencil: pencilOptics({ masstone: labOfHex(colour), type }),
    pressure,
  }));
  const ground = bareGround(paperById(trial.paper));
  return (
    <div className="mt-1.5 flex h-8" role="img" aria-label={`${trial.title}: predicted after each pass`}>
      {passes.map((_, i) => (
        <span
          key={i}
          className="flex-1"
          style={{ background: hexOfLab(layPasses(ground, passes.slice(0, i + 1)).lab) }}
        />
      ))}
    </div>
  );
}
