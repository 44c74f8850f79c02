import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import type { TrialStep } from '../../../contracts/index.ts';
import { useKeepTrialMutation } from '../../api/desk-api.ts';
import { sentenceOf } from '../../api/sentence.ts';
import { Button } from '../../parts/index.ts';

/** Gives the passes on the patch a name and keeps them. */
export function KeepTrial({ trayId, paper, steps }: { trayId: string; paper: string; steps: TrialStep[] }) {
  const [keep, { isLoading }] = useKeepTrialMutation();
  const [title, setTitle] = useState('');
  return (
    <form
      className="flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const trial = { id: nanoid(), title: title.trim(), paper, steps, seen: null, taught: null };
        void keep({ trayId, trial }).then(({ error }) => {
          if (error) toast.error(sentenceOf(error));
          else {
            toast(`“${trial.title}” is kept.`);
            setTitle('');
          }
        });
      }}
    >
      <input
        aria-label="Name of the trial"
        placeholder="keep it as …"
        value={title}
        maxLength={60}
        className="h-10 min-w-0 flex-1 border border-edge bg-leaf px-3 placeholder:text-soft"
        onChange={(event) => setTitle(event.target.value)}
      />
      <Button type="submit" disabled={!title.trim() || isLoading}>
        Keep
      </Button>
    </form>
  );
}
