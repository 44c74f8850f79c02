import { toast } from 'sonner';
import { replacePencil } from '../../plan/index.ts';
import { useEditPencilMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { CardOver } from '../parts/index.ts';
import { ChooseNear } from './choose-near.tsx';

interface Props {
  pencilId: string;
  /** Another pencil has taken its place: what is left is to be put in order again. */
  onReplaced(): void;
  onClose(): void;
}

/** A pencil that cannot be found: another takes its place in all that is left; what was laid with it stays as it is. */
export function LostPencil({ pencilId, onReplaced, onClose }: Props) {
  const { sheet, pencilById } = useDesk();
  const change = usePlanChange(sheet.id, 'bench');
  const [edit] = useEditPencilMutation();
  const code = pencilById.get(pencilId)?.code ?? '';
  return (
    <CardOver title={`${code} is lost or used up`} width="narrow" onClose={onClose}>
      <p className="mt-1 text-[0.95rem] text-soft">
        Choose what takes its place in everything that is left. The tray will say that {code} is missing.
      </p>
      <ChooseNear
        pencilId={pencilId}
        onChoose={async ({ pencil }) => {
          onClose();
          await change(`${pencil.code} instead of ${code}`, (plan) => replacePencil(plan, pencilId, pencil.id, null));
          const { error } = await edit({ trayId: sheet.trayId, pencilId, edit: { whereabouts: 'missing' } });
          if (error) toast.error(sentenceOf(error));
          onReplaced();
        }}
      />
    </CardOver>
  );
}
