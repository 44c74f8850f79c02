import isEqual from 'fast-deep-equal/es6/index.js';
import { useEffect, useRef, useState } from 'react';
import { type Ask, NewestAnswer } from './newest-answer.ts';

export interface AnswerOptions {
  /** Whether an answer to other inputs than the present ones is none; by default it stays until a newer one comes. */
  fresh?: boolean;
  /** Whether what is under way is stopped when the inputs change, as what takes long should be. */
  abandons?: boolean;
}

export interface Answer<T> {
  value: T | null;
  /** Why the newest is not there. */
  sentence: string | null;
  /** Whether it is about the present inputs. */
  isNewest: boolean;
}

/** The answer that is shown, and of what it is; a sentence as well where that could not be had. */
interface Held<T> {
  value: T | null;
  sentence: string | null;
  of: readonly unknown[];
}

const NONE = { value: null, sentence: null, isNewest: false };

/**
 * What jobs in a worker say to the newest of some inputs. Inputs that equal those of before ask nothing.
 * @param asks ways to ask for the same, a quick one first and finer ones after it; none where nothing is wanted
 * @param inputs what is asked about
 */
export function useAnswer<T>(
  asks: readonly Ask<T>[],
  inputs: readonly unknown[],
  { fresh = false, abandons = false }: AnswerOptions = {},
): Answer<T> {
  const [held, setHeld] = useState<Held<T> | null>(null);
  const newest = useRef<NewestAnswer<T, readonly unknown[]> | null>(null);
  const wanted = asks.length > 0;
  useEffect(() => {
    const answers = new NewestAnswer<T, readonly unknown[]>(
      (answer, of) =>
        setHeld((was) =>
          answer.kind === 'done'
            ? { value: answer.value, sentence: null, of }
            : { value: was?.value ?? null, sentence: answer.sentence, of },
        ),
      abandons,
    );
    newest.current = answers;
    return () => answers.stop();
  }, [abandons]);
  useEffect(() => {
    if (wanted) newest.current!.ask(asks, inputs);
    else newest.current!.leave();
    // The inputs stand for what is asked.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [wanted, ...inputs]);
  if (!wanted || !held) return NONE;
  const isNewest = isEqual(held.of, inputs);
  return fresh && !isNewest ? NONE : { value: held.value, sentence: held.sentence, isNewest };
}
