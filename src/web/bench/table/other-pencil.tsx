import { useState } from 'react';
import { replacePencil } from '../../../plan/index.ts';
import { usePlanChange } from '../../api/use-plan.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { CardOver } from '../../parts/index.ts';
import { ChooseNear } from '../choose-near.tsx';
import { type Pressed } from './use-table.ts';

interface Props {
  pencilId: string;
  thingId: string;
  thing: string;
  /** The step is done with it. */
  onUsed(press: Pressed, pencilId: string): void;
  /** What is left of the thing takes it too: that is to be put in order again. */
  onReplaced(): void;
  onClose(): void;
}

/** The step is done with another pencil; from there on the thing takes that one, and its recipe is looked over again. */
export function OtherPencil({ pencilId, thingId, thing, onUsed, onReplaced, onClose }: Props) {
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
        also in what is left of {thing}
      </label>
      <ChooseNear
        pencilId={pencilId}
        onChoose={async ({ pencil }) => {
          onClose();
          onUsed({ timeStamp: performance.now() }, pencil.id);
          if (!also) return;
          await change(`${pencil.code} instead of ${code} on ${thing}`, (plan) =>
            replacePencil(plan, pencilId, pencil.id, thingId),
          );
          onReplaced();
        }}
      />
    </CardOver>
  );
}
