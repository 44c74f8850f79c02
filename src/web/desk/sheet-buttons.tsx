import clsx from 'clsx';
import { Lasso, Maximize, Minus, MousePointer2, Plus, SquareDashed } from 'lucide-react';
import { type Sweep } from './gather-on-sheet.tsx';

const TOOLS: readonly { sweep: Sweep | null; label: string; icon: React.ReactNode }[] = [
  { sweep: null, label: 'Choose one by one', icon: <MousePointer2 size={17} /> },
  { sweep: 'box', label: 'Draw a box', icon: <SquareDashed size={17} /> },
  { sweep: 'lasso', label: 'Draw a loop', icon: <Lasso size={17} /> },
];

/** How regions are chosen on the sheet: one by one, or by what is drawn round them. */
export function GatherButtons({ sweep, onSweep }: { sweep: Sweep | null; onSweep(sweep: Sweep | null): void }) {
  return (
    <div className="absolute right-3 bottom-3 flex border border-edge bg-leaf" role="group" aria-label="Choose regions">
      {TOOLS.map(({ sweep: own, label, icon }) => (
        <SheetButton key={label} label={label} icon={icon} on={sweep === own} onClick={() => onSweep(own)} />
      ))}
    </div>
  );
}

/** A button zooms by so many times. */
const ZOOMS = 1.5;

export function ZoomButtons({ scaleBy, refit }: { scaleBy(factor: number): void; refit(): void }) {
  return (
    <div className="absolute bottom-3 left-3 flex border border-edge bg-leaf">
      <SheetButton label="Zoom out" onClick={() => scaleBy(1 / ZOOMS)} icon={<Minus size={17} />} />
      <SheetButton label="Zoom in" onClick={() => scaleBy(ZOOMS)} icon={<Plus size={17} />} />
      <SheetButton label="Fit the page" onClick={refit} icon={<Maximize size={16} />} />
    </div>
  );
}

function SheetButton({
  label,
  icon,
  on,
  onClick,
}: {
  label: string;
  icon: React.ReactNode;
  /** Whether it is the chosen one; left out where nothing is chosen by it. */
  on?: boolean;
  onClick(): void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      aria-pressed={on}
      onClick={onClick}
      className={clsx('flex h-10 w-10 items-center justify-center', on ? 'bg-strong text-on-strong' : 'hover:bg-card')}
    >
      {icon}
    </button>
  );
}
