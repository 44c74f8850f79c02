import { Link, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { useEditSheetMutation, useSheetQuery, useTraysQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Button } from '../parts/index.ts';

/** Which tray is open, and whether the sheet on the desk is planned with it. */
export function TrayChooser({ trayId, sheetId }: { trayId: string; sheetId: string | null }) {
  const { data: trays = [] } = useTraysQuery();
  const { data: sheet } = useSheetQuery(sheetId ?? '', { skip: !sheetId });
  const [edit] = useEditSheetMutation();
  const [params] = useSearchParams();
  return (
    <section className="border-b border-rule py-4 first:pt-0">
      <h2 className="mb-2 text-[1.05rem]">Trays</h2>
      <ul className="grid gap-1">
        {trays.map((tray) => (
          <li key={tray.id}>
            <Link
              to={`/tray/${tray.id}?${params}`}
              aria-current={tray.id === trayId ? 'page' : undefined}
              className={`flex min-h-10 items-center justify-between px-3 ${tray.id === trayId ? 'bg-strong font-semibold text-on-strong' : 'bg-leaf'}`}
            >
              <span>{tray.name}</span>
              <span className="text-sm">{tray.pencils}</span>
            </Link>
          </li>
        ))}
      </ul>
      {sheet && sheet.trayId !== trayId && (
        <>
          <p className="mt-3 text-[0.95rem]">{sheet.title} is planned with another tray.</p>
          <Button
            look="strong"
            className="mt-2 w-full"
            onClick={() =>
              void edit({ sheetId: sheet.id, edit: { trayId } }).then(({ error }) => {
                if (error) toast.error(sentenceOf(error));
              })
            }
          >
            Plan it with this one
          </Button>
        </>
      )}
      {sheet && sheet.trayId === trayId && (
        <p className="mt-2 text-[0.95rem] text-soft">{sheet.title} is planned with this tray.</p>
      )}
    </section>
  );
}
