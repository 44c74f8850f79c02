import type { Refusal } from '../../contracts/index.ts';

/** The sentence to show for a failed request: the server's own, or what to do when it did not answer. */
export function sentenceOf(error: unknown): string {
  return (
    ownSentence(error) ?? 'Harmonie did not answer, so this is not saved. Check that it is still running and try again.'
  );
}

/** The same for what was only to be shown. */
export function whyNotShown(error: unknown): string {
  return (
    ownSentence(error) ??
    'Harmonie did not answer, so this cannot be shown. Check that it is still running and try again.'
  );
}

function ownSentence(error: unknown): string | null {
  const data = (error as { data?: { sentence?: unknown } } | undefined)?.data;
  return typeof data?.sentence === 'string' ? data.sentence : null;
}

/** What was to be changed here and what was changed in the same place elsewhere, where that is why it was refused. */
export function conflictIn(error: unknown): Refusal['conflict'] {
  return (error as { data?: Refusal } | undefined)?.data?.conflict;
}

/** Whether a request was refused because the sheet had changed meanwhile. */
export function isStale(error: unknown): boolean {
  return (error as { status?: unknown } | undefined)?.status === 409;
}
