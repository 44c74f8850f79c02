import clsx from 'clsx';

export type ScrubBy = 'layers' | 'steps';

interface Props {
  shown: number;
  most: number;
  by: ScrubBy;
  /** Whether the bench has an order of steps. */
  hasSteps: boolean;
  onBy(by: ScrubBy): void;
  onShow(to: number): void;
  /** Whether the page is shown as it was before anything of this plan. */
  isBefore: boolean;
  onBefore(before: boolean): void;
  /** Whether a piece is enlarged beside it. */
  isClose: boolean;
  onClose(close: boolean): void;
}

/** Shows the page as it stands after any number of layers or steps, before all of them, and a piece of it enlarged. */
export function Scrubber({ shown, most, by, hasSteps, onBy, onShow, isBefore, onBefore, isClose, onClose }: Props) {
  const one = by === 'layers' ? 'layer' : 'step';
  return (
    <div className="flex h-12 shrink-0 items-center gap-3 border-t border-rule bg-desk px-4 max-md:h-auto max-md:flex-wrap max-md:py-2">
      <span className="w-40 shrink-0 text-[0.95rem]">
        {isBefore
          ? 'before'
          : shown === 0
            ? 'bare paper'
            : shown === most
              ? `all ${by} laid`
              : `after ${one} ${shown} of ${most}`}
      </span>
      <input
        type="range"
        min={0}
        max={most}
        step={1}
        value={shown}
        aria-label={by === 'layers' ? 'Layers laid' : 'Steps done'}
        aria-valuetext={`${shown} of ${most} ${by}`}
        className="h-8 min-w-0 flex-1 accent-neutral-700 max-md:w-full max-md:flex-none"
        onChange={(event) => onShow(Number(event.target.value))}
      />
      {hasSteps && (
        <Toggle on={by === 'steps'} onClick={() => onBy(by === 'steps' ? 'layers' : 'steps')}>
          By step
        </Toggle>
      )}
      <Toggle on={isBefore} onClick={() => onBefore(!isBefore)}>
        Before
      </Toggle>
      <Toggle on={isClose} onClick={() => onClose(!isClose)}>
        Enlarge
      </Toggle>
    </div>
  );
}

function Toggle({ on, onClick, children }: { on: boolean; onClick(): void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onClick}
      className={clsx(
        'min-h-9 shrink-0 border border-edge px-3 text-[0.95rem] font-semibold',
        on ? 'bg-strong text-on-strong' : 'bg-leaf hover:border-ink',
      )}
    >
      {children}
    </button>
  );
}
