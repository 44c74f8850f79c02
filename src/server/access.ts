import { createHash, createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { hostname, networkInterfaces } from 'node:os';
import cookieSession from 'cookie-session';
import { eq } from 'drizzle-orm';
import { type NextFunction, type Request, type RequestHandler, type Response, Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { z } from 'zod';
import { type Database } from './db/open-database.ts';
import { settings } from './db/schema.ts';
import { Refused } from './refused.ts';
import { bodyOf, json } from './routes/handle.ts';

/** How a desk is reached from other devices: by which names, and with which access code. */
export interface Access {
  hosts: readonly string[];
  code: string;
  /** Key that sessions are signed with. */
  key: string;
}

export const LEAST_CODE = 8;
const DAY_MS = 24 * 3600 * 1000;
/** So many wrong codes are heard in so long from one address. */
const TRIES = { limit: 10, windowMs: 15 * 60_000 };

const SignIn = z.object({ code: z.string().max(200) });
const LOCAL_HOST = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;
const LOCAL_ADDRESS = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

/** The addresses of this computer in the networks that it is part of. */
export function ownAddresses(): string[] {
  return Object.values(networkInterfaces()).flatMap((own = []) =>
    own.flatMap(({ internal, family, address }) => (internal || family !== 'IPv4' ? [] : [address])),
  );
}

/**
 * Gives other devices access with a code. Sessions that were begun with another code end.
 * @throws RangeError when the code is too short
 */
export async function prepareAccess(db: Database, code: string): Promise<Access> {
  if (code.length < LEAST_CODE) throw new RangeError(`An access code has at least ${LEAST_CODE} characters.`);
  const made = { key: 'door secret', value: randomBytes(32).toString('hex') };
  await db.insert(settings).values(made).onConflictDoNothing();
  const [kept] = await db.select().from(settings).where(eq(settings.key, made.key));
  const key = createHmac('sha256', String(kept?.value ?? made.value))
    .update(code)
    .digest('hex');
  return { hosts: [...ownAddresses(), hostname()], code, key };
}

/**
 * Lets in who sits at this computer; others only where there is access, by one of its names and after giving its code.
 * Requests that come from another site's page are refused.
 */
export function requireSession(access: Access | null): RequestHandler[] {
  const own = (request: Request, _response: Response, next: NextFunction) => {
    const { host = '', origin } = request.headers;
    if (!isHere(request) && !access?.hosts.includes(host.replace(/:\d+$/, ''))) {
      throw new Refused(403, 'Harmonie answers on this computer only.');
    }
    if (origin && origin !== `http://${host}`) throw new Refused(403, 'This request came from another site.');
    next();
  };
  if (!access) return [own];
  const session = cookieSession({
    name: 'harmonie',
    keys: [access.key],
    httpOnly: true,
    sameSite: 'strict',
    maxAge: 30 * DAY_MS,
  });
  const known = (request: Request, _response: Response, next: NextFunction) => {
    const free = isHere(request) || request.path === '/access' || request.path === '/health';
    if (!free && !request.session?.in) throw new Refused(401, 'Give the access code of this desk first.');
    next();
  };
  return [own, session, known];
}

/** Where the access code is given. */
export function accessRoutes(access: Access | null): Router {
  const router = Router();
  const limit = rateLimit({
    ...TRIES,
    skipSuccessfulRequests: true,
    handler: () => {
      throw new Refused(429, 'Too many wrong codes. Try again in a quarter of an hour.');
    },
  });
  router.post(
    '/',
    limit,
    json(async (request) => {
      const { code } = bodyOf(SignIn, request);
      if (!access || !isSame(code, access.code)) throw new Refused(403, 'This is not the access code of this desk.');
      request.session = { in: true };
      return { in: true };
    }),
  );
  return router;
}

function isHere({ headers: { host = '' }, socket }: Request): boolean {
  return LOCAL_HOST.test(host) && LOCAL_ADDRESS.has(socket.remoteAddress ?? '');
}

/** Compares without telling by its time how much was right. */
function isSame(a: string, b: string): boolean {
  const digest = (text: string) => createHash('sha256').update(text).digest();
  return timingSafeEqual(digest(a), digest(b));
}
