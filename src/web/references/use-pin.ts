import { nanoid } from 'nanoid';
import { useCallback } from 'react';
import { toast } from 'sonner';
import { useEditReferenceMutation, usePinReferenceMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';

/** Pins pictures to a sheet or a thing of it, and takes them down with a way back. */
export function usePin(sheetId: string, thingId: string | null) {
  const [pin, { isLoading }] = usePinReferenceMutation();
  const [edit] = useEditReferenceMutation();
  const pinFile = useCallback(
    async (file: File) => {
      const form = new FormData();
      form.set('id', nanoid());
      form.set('name', file.name.replace(/\.[^.]*$/, '').slice(0, 60));
      if (thingId) form.set('thingId', thingId);
      form.set('file', file);
      const { error } = await pin({ sheetId, form });
      if (error) toast.error(sentenceOf(error));
      return !error;
    },
    [pin, sheetId, thingId],
  );
  const takeDown = async (id: string) => {
    const put = async (pinned: boolean) => {
      const { error } = await edit({ sheetId, id, edit: { pinned } });
      if (error) toast.error(sentenceOf(error));
      return !error;
    };
    if (await put(false))
      toast('The picture is taken down.', { action: { label: 'Undo', onClick: () => void put(true) } });
  };
  return { pinFile, takeDown, pinning: isLoading };
}
