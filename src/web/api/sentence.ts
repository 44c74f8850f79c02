import type { Refusal } from '../../contracts/index.ts';

/** The sentence to show for a failed request: the server's own, or what to do when it did not answer. */
export function sentenceOf(error: unknown): string {
  const data = (error as { data?: { sentence?: unknown } } | undefined)?.data;
  if (typeof data?.sentence === 'string') return data.sentence;
  return 'Harmonie did not answer, so this is not saved. Check that it is still running and try again.';
}

/** What was to be changed here and what was changed in the same place elsewhere, where that is why it was refused. */
export function conflictIn(error: unknown): Refusal['conflict'] {
  return (error as { data?: Refusal } | undefined)?.data?.conflict;
}

/** Whether a request was refused because the sheet had changed meanwhile. */
export function isStale(error: unknown): boolean {
  return (error as { status?: unknown } | undefined)?.status === 409;
}
