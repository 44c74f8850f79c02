import { Button } from './button.tsx';

/** What a longer piece of work is doing, how far it is, and a way to stop it. */
export function Progress({ share, doing, onCancel }: { share: number; doing: string; onCancel?: () => void }) {
  const percent = Math.round(100 * share);
  return (
    <div className="flex items-center gap-3" role="status">
      <div className="min-w-0 flex-1">
        <div className="truncate text-[0.95rem]">{doing}</div>
        <div
          className="mt-1 h-2.5 border border-ink bg-leaf"
          role="progressbar"
          aria-label={doing}
          aria-valuenow={percent}
          aria-valuemin={0}
          aria-valuemax={100}
        >
          <div className="hatch-fill h-full" style={{ width: `${percent}%` }} />
        </div>
      </div>
      {onCancel && <Button onClick={onCancel}>Stop</Button>}
    </div>
  );
}
