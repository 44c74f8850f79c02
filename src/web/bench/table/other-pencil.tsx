import { useState } from 'react';
import { replacePencil } from '../../../plan/index.ts';
import { usePlanChange } from '../../api/use-plan.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { CardOver } from '../../parts/index.ts';
import { ChooseNear } from '../choose-near.tsx';
import { type Pressed } from './use-table.ts';

interface Props {
  pencilId: string;
  /** The things that are laid with it, and what they are called. */
  thingIds: readonly string[];
  things: string;
  /** The step is done with it. */
  onUsed(press: Pressed, pencilId: string): void;
  /** What is left of the things takes it too: that is to be put in order again. */
  onReplaced(): void;
  onClose(): void;
}

/** The step is done with another pencil; from there on its things take that one, and their recipes are looked over again. */
export function OtherPencil({ pencilId, thingIds, things, onUsed, onReplaced, onClose }: Props) {
  const { sheet, pencilById } = useDesk();
  const change = usePlanChange(sheet.id, 'bench');
  const [also, setAlso] = useState(true);
  const code = pencilById.get(pencilId)?.code ?? '';
  return (
    <CardOver title={`Instead of ${code}`} width="narrow" onClose={onClose}>
      <label className="mt-2 flex min-h-10 items-center gap-2">
        <input
          type="checkbox"
          className="h-5 w-5 accent-neutral-800"
          checked={also}
          onChange={({ target }) => setAlso(target.checked)}
        />
        also in what is left of {things}
      </label>
      <ChooseNear
        pencilId={pencilId}
        onChoose={async ({ pencil }) => {
          onClose();
          onUsed({ timeStamp: performance.now() }, pencil.id);
          if (!also) return;
          await change(`${pencil.code} instead of ${code} on ${things}`.slice(0, 120), (plan) => {
            for (const thingId of thingIds) replacePencil(plan, pencilId, pencil.id, thingId);
          });
          onReplaced();
        }}
      />
    </CardOver>
  );
}
