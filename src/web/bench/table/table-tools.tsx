import {
  Camera,
  Clock3,
  Hourglass,
  NotebookPen,
  Pause,
  Pencil,
  Play,
  TriangleAlert,
  Volume2,
  VolumeX,
} from 'lucide-react';
import { type Pressed } from './use-table.ts';

/** A card that is laid over the table. */
export type Card = 'mistake' | 'note' | 'other pencil';

interface Props {
  isPaused: boolean;
  isReadAloud: boolean;
  onLater(press: Pressed): void;
  onHalfDone(press: Pressed): void;
  onPause(): void;
  onCard(card: Card): void;
  onPhoto(): void;
  onReadAloud(): void;
}

/** What else there is to do at the table, each by a letter too. */
export function TableTools(props: Props) {
  const { isPaused, isReadAloud, onLater, onHalfDone, onPause, onCard, onPhoto, onReadAloud } = props;
  return (
    <div className="flex gap-1.5 overflow-x-auto bg-card px-4 pb-3 *:flex-1 *:max-md:min-w-20 *:max-md:shrink-0 md:col-start-1 md:row-start-2 md:py-2">
      <Tool of="Later" letter="L" icon={<Clock3 size={17} />} onClick={onLater} />
      <Tool of="Half done" letter="H" icon={<Hourglass size={17} />} onClick={onHalfDone} />
      <Tool
        of={isPaused ? 'Go on' : 'Pause'}
        letter="P"
        icon={isPaused ? <Play size={17} /> : <Pause size={17} />}
        onClick={onPause}
      />
      <Tool of="Other pencil" letter="O" icon={<Pencil size={17} />} onClick={() => onCard('other pencil')} />
      <Tool of="Mistake" letter="M" icon={<TriangleAlert size={17} />} onClick={() => onCard('mistake')} />
      <Tool of="Note" letter="N" icon={<NotebookPen size={17} />} onClick={() => onCard('note')} />
      <Tool of="Photo" letter="F" icon={<Camera size={17} />} onClick={onPhoto} />
      <Tool
        of={isReadAloud ? 'Be quiet' : 'Read aloud'}
        letter="R"
        icon={isReadAloud ? <VolumeX size={17} /> : <Volume2 size={17} />}
        onClick={onReadAloud}
      />
    </div>
  );
}

interface ToolProps {
  of: string;
  letter: string;
  icon: React.ReactNode;
  onClick(press: Pressed): void;
}

function Tool({ of, letter, icon, onClick }: ToolProps) {
  return (
    <button
      type="button"
      aria-keyshortcuts={letter}
      title={`${of} (${letter})`}
      onClick={(event) => {
        onClick(event);
        // The keys go back to the step: Space is Done again.
        event.currentTarget.blur();
      }}
      className="flex min-h-11 flex-col items-center justify-center border border-edge bg-leaf px-1 text-sm leading-tight hover:border-ink"
    >
      {icon}
      {of}
    </button>
  );
}
