import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { MulterError } from 'multer';
import { ZodError, type z } from 'zod';
import { Refused } from '../refused.ts';

/** What an address names that is about one sheet. */
export type OfSheet = { id: string };

/**
 * Answers a request with what `answer` returns, as JSON. Failures go to {@link refuse}.
 *
 * @param Params what the route has in its address, by name
 */
export function json<Params = object>(answer: (request: Request<Params>) => Promise<unknown>): RequestHandler<Params> {
  return async (request, response) => void response.json(await answer(request));
}

/** The request's body as the contract says, or a refusal with the first fault. */
export function bodyOf<T extends z.ZodType>(contract: T, request: { body: unknown }): z.infer<T> {
  return contract.parse(request.body);
}

/** Turns every failure into one sentence; what is nobody's fault but ours is logged and said plainly. */
export function refuse(error: unknown, request: Request, response: Response, _next: NextFunction): void {
  if (error instanceof Refused) {
    response.status(error.status).json({ sentence: error.message, ...error.facts });
  } else if (error instanceof ZodError) {
    response.status(422).json({ sentence: sentenceOf(error) });
  } else if (error instanceof MulterError) {
    const large = error.code === 'LIMIT_FILE_SIZE';
    const sentence = large
      ? 'This file is larger than 60 MB. Scan the page at 300 dpi.'
      : 'This file did not arrive whole. Send it again.';
    response.status(large ? 413 : 400).json({ sentence });
  } else if (isBodyError(error)) {
    response.status(error.status).json({ sentence: 'What was sent could not be read, so nothing was changed.' });
  } else {
    request.log.error(error);
    response.status(500).json({ sentence: 'Something went wrong on the desk; nothing was changed. Try again.' });
  }
}

function sentenceOf(error: ZodError): string {
  const issue = error.issues[0]!;
  const where = issue.path.filter((part) => typeof part === 'string').join(' ');
  const own = issue.message.endsWith('.');
  return own ? issue.message : `What was sent is not right${where ? ` (${where})` : ''}: ${issue.message}.`;
}

function isBodyError(error: unknown): error is { status: number } {
  return (
    typeof error === 'object' &&
    error !== null &&
    'status' in error &&
    Number(error.status) >= 400 &&
    Number(error.status) < 500
  );
}
