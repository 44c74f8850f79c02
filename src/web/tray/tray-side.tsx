import type { Pencil } from '../../contracts/index.ts';
import { labOfHex, wordsFor } from '../../core/colour/index.ts';
import { Button } from '../parts/index.ts';
import { AddPencil } from './add-pencil.tsx';
import { BringPencils } from './bring-pencils.tsx';
import { SwatchCards } from './cards/swatch-cards.tsx';
import { FitSwatches } from './fit-swatches.tsx';
import { FromAChart } from './from-a-chart.tsx';
import { intoView } from './into-view.ts';
import { PencilFacts } from './pencil-facts.tsx';
import { Shopping } from './shopping.tsx';
import { TakeAway } from './take-away.tsx';
import { TrayChooser } from './tray-chooser.tsx';
import { WhatComesNear } from './what-comes-near.tsx';
import { WhatIsMissing } from './what-is-missing.tsx';

interface Props {
  trayId: string;
  sheetId: string | null;
  name: string;
  pencils: readonly Pencil[];
  /** Those that the filters let through. */
  shown: readonly Pencil[];
  /** Id of the paper. */
  paper: string;
  /** A colour that is looked for, as #rrggbb. */
  picked: string | null;
  onPutAway(): void;
  /** The pencil that is looked at. */
  chosen: Pencil | undefined;
  onClose(): void;
}

/** What there is to know and to do about a tray and the pencil that is looked at. */
export function TraySide(props: Props) {
  const { trayId, sheetId, name, pencils, shown, paper, picked, onPutAway, chosen, onClose } = props;
  return (
    <aside
      aria-label="Trays"
      className="flex w-92 shrink-0 flex-col overflow-y-auto border-l border-rule bg-card px-5 py-4 max-md:w-full max-md:overflow-visible max-md:border-t max-md:border-l-0 print:hidden"
      tabIndex={0}
    >
      {picked && (
        <section ref={intoView} className="border-b border-rule pb-4">
          <div className="flex items-center gap-3">
            <span className="h-9 w-14 border border-rule" style={{ background: picked }} aria-hidden />
            <h2 className="flex-1 text-[1.05rem]">{wordsFor(labOfHex(picked))}</h2>
            <Button look="bare" aria-label="Put the colour away" onClick={() => onPutAway()}>
              Put away
            </Button>
          </div>
          <WhatComesNear target={labOfHex(picked)} of={null} pencils={pencils} paper={paper} />
        </section>
      )}
      {chosen && <PencilFacts key={chosen.id} pencil={chosen} paper={paper} onClose={onClose} />}
      <TrayChooser trayId={trayId} sheetId={sheetId} />
      <FitSwatches key={`${trayId} ${paper}`} trayId={trayId} pencils={pencils} paper={paper} />
      <WhatIsMissing trayId={trayId} pencils={pencils} paper={paper} />
      <Shopping trayId={trayId} pencils={pencils} />
      <SwatchCards trayId={trayId} pencils={pencils} shown={shown} paper={paper} />
      <FromAChart trayId={trayId} paper={paper} />
      <AddPencil trayId={trayId} pencils={pencils} />
      <BringPencils trayId={trayId} />
      <TakeAway name={name} pencils={pencils} />
    </aside>
  );
}
