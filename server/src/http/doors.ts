import type { Request, RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { sendProblem } from './error-middleware';
import { anotherSite, notServedHere, tooMany } from './http-problem';

/** Names of this machine to itself. */
const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'] as const;

const nameIn = (host: string): string => host.toLowerCase().replace(/:\d{1,5}$/, '');

/** A browser names the page that asks; one that hides it is of another site, or of a file. */
function isOwnPage(req: Request): boolean {
  const site = req.get('Sec-Fetch-Site');
  const foreign = site !== undefined && site !== 'same-origin' && site !== 'none';
  const origin = req.get('Origin');
  const host = req.get('Host')!.toLowerCase();
  const own = origin === undefined || [`http://${host}`, `https://${host}`].includes(origin.toLowerCase());
  const looks = req.method === 'GET' || req.method === 'HEAD';
  // A link on another page may lead here; only what a page of another site fetches or sends is refused.
  return own && (!foreign || (looks && (req.get('Sec-Fetch-Mode') ?? 'navigate') === 'navigate'));
}

/**
 * Refuses what was asked under a name that is none of this shop's (a foreign name that leads to this machine), and what a page of another
 * site asks or sends, the live line included.
 *
 * @param names host names, without a port, under which the shop is served besides this machine's own
 */
export function doors(names: readonly string[]): RequestHandler {
  const known = new Set([...LOOPBACK, ...names.map((n) => n.toLowerCase())]);
  return (req, _res, next) => {
    if (!known.has(nameIn(req.get('Host') ?? ''))) throw notServedHere();
    if (!isOwnPage(req)) throw anotherSite();
    next();
  };
}

/** More than a shop's screens, coming back all at once after a day without the server, would ever send. */
const MOST = {
  writes: { windowMs: 10_000, limit: 10_000 },
  uploads: { windowMs: 60_000, limit: 300 },
} as const;

const limiter = ({ windowMs, limit }: { windowMs: number; limit: number }): RequestHandler =>
  rateLimit({
    windowMs,
    limit,
    standardHeaders: false,
    legacyHeaders: false,
    // What stands before the server may add its own headers: the address of the line is what counts.
    validate: { xForwardedForHeader: false, forwardedHeader: false },
    skip: (req) => req.method === 'GET' || req.method === 'HEAD',
    // Sets Retry-After itself.
    handler: (_req, res) => sendProblem(res.set('Retry-After', String(Math.ceil(windowMs / 1000))), tooMany()),
  });

/** How often one machine may store something. */
export const writesLimited = (limit: number = MOST.writes.limit): RequestHandler => limiter({ ...MOST.writes, limit });
/** How often one machine may send pictures and files. */
export const uploadsLimited = (limit: number = MOST.uploads.limit): RequestHandler => limiter({ ...MOST.uploads, limit });

/** What somebody without the program ever asks for at the secret address that they were given, in a minute. */
const LINKS = { windowMs: 60_000, limit: 120 } as const;

/** How often one machine may ask at secret addresses, however it asks: guessing is slow work. */
export const linksLimited = (refuse: RequestHandler): RequestHandler =>
  rateLimit({
    ...LINKS,
    standardHeaders: false,
    legacyHeaders: false,
    validate: { xForwardedForHeader: false, forwardedHeader: false },
    handler: (req, res, next) => refuse(req, res.set('Retry-After', String(LINKS.windowMs / 1000)), next),
  });
