import { useDesk } from '../../desk/desk-context.ts';
import { CardOver } from '../../parts/index.ts';
import { WriteDown } from '../../desk/write-down.tsx';

/** A few words, written down while the step is up. */
export function NoteCard({ onClose }: { onClose(): void }) {
  const { sheet } = useDesk();
  return (
    <CardOver title="Write it down" width="narrow" onClose={onClose}>
      <div className="mt-3">
        <WriteDown sheetId={sheet.id} onKept={onClose} />
      </div>
    </CardOver>
  );
}
