import { toast } from 'sonner';
import { Button, Notice, Progress, Section } from '../parts/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { usePagePicture } from '../desk/use-preview.ts';
import { saveFile } from '../parts/save-file.ts';

const RESOLUTIONS = [150, 300];

/** The predicted page as a file, at its true size. */
export function PagePicture({ upTo }: { upTo: Readonly<Record<string, number>> }) {
  const { sheet } = useDesk();
  const { now, make, cancel } = usePagePicture(upTo);
  const { widthMm, heightMm } = sheet.plan.page;
  const save = async (dpi: number) => {
    const png = await make(dpi);
    if (!png) return;
    const name = `${sheet.title.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-')}-${dpi}-dpi.png`;
    saveFile(name, png);
    toast(`${name} is saved, ${widthMm} × ${heightMm} mm.`);
  };
  return (
    <Section title="The page as a picture" aside="as it is shown here">
      {now.state === 'working' ? (
        <Progress share={now.share} doing={`${now.doing} …`} onCancel={cancel} />
      ) : (
        <div className="grid grid-cols-2 gap-2">
          {RESOLUTIONS.map((dpi) => (
            <Button key={dpi} onClick={() => void save(dpi)}>
              PNG, {dpi} dpi
            </Button>
          ))}
        </div>
      )}
      {now.state === 'refused' && <Notice kind="refused">{now.sentence}</Notice>}
    </Section>
  );
}
