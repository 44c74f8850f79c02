import type { Refusal } from '../contracts/index.ts';

/** A request that cannot be met, with the sentence that the person gets to read. Nothing was changed. */
export class Refused extends Error {
  readonly status: number;
  /** What a client may need beside the sentence. */
  readonly facts: Omit<Refusal, 'sentence'>;
  constructor(status: number, sentence: string, facts: Omit<Refusal, 'sentence'> = {}) {
    super(sentence);
    this.name = 'Refused';
    this.status = status;
    this.facts = facts;
  }
}

export const NO_SHEET = 'This sheet is not on the desk.';

/** The value, or a refusal that says what is not there. */
export function orNotFound<T>(value: T | undefined | null, sentence: string): T {
  refuseMissing(value, sentence);
  return value;
}

/** Refuses with a sentence where there is nothing. */
export function refuseMissing<T>(value: T | undefined | null, sentence: string): asserts value is T {
  if (value === undefined || value === null) throw new Refused(404, sentence);
}
