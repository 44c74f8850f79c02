import { format } from 'date-fns';
import type { Note, Trial } from '../../contracts/index.ts';
import { hexOfLab, labOfHex } from '../../core/colour/index.ts';
import { bareGround, layPasses, paperById, pencilOptics } from '../../core/laydown/index.ts';
import { PressureMark } from '../parts/index.ts';

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
