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

/** The value, or a refusal that says what is not there. */
export function orNotFound<T>(value: T | undefined | null, sentence: string): T {
  if (value === undefined || value === null) throw new Refused(404, sentence);
  return value;
}
