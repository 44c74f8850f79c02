import type { Thing } from '../../contracts/index.ts';
import { useReferencesQuery } from '../api/desk-api.ts';
import { PinnedPicture } from './pinned-picture.tsx';
import { pinnedTo } from './pinned-to.ts';

/** The pictures that belong to a thing, and after them those of the whole sheet, to look at only; nothing where none are. */
export function PinnedBeside({
  sheetId,
  thingId,
  things,
}: {
  sheetId: string;
  thingId: string | null;
  things: readonly Thing[];
}) {
  const { data: references = [] } = useReferencesQuery(sheetId);
  const shown = [...(thingId ? pinnedTo(thingId, references, things) : []), ...pinnedTo(null, references, things)];
  if (shown.length === 0) return null;
  return (
    <div className="flex gap-2 overflow-x-auto py-2" role="group" aria-label="Pinned pictures" tabIndex={0}>
      {shown.map((reference) => (
        <PinnedPicture key={reference.id} sheetId={sheetId} reference={reference} />
      ))}
    </div>
  );
}
