import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import { ownTimeZone, routes } from '@iron-patch/contract';
import compression from 'compression';
import express, { type Express } from 'express';
import staticPacked from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { mountAlike } from './alike';
import { mountAudit } from './audit';
import { mountBundleIn, mountBundleOut } from './bundles';
import { mountCalendar, mountCalendarFeed } from './calendar';
import { mountChoices } from './choices';
import { components } from './components';
import type { Pool } from './db';
import { mountDocuments } from './documents';
import { places } from './places';
import { mountEverything } from './everything';
import { mountFloor } from './floor';
import { mountHouseRules } from './house-rules';
import {
  doors,
  errorMiddleware,
  mountEditable,
  mountShopRecord,
  notFound,
  plainBody,
  RETRY_AFTER_S,
  sendProblem,
  uploadsLimited,
  writesLimited,
} from './http';
import { drillSets } from './drills';
import { tools } from './tooling';
import { mountInstruments } from './instruments';
import { mountJobs } from './jobs';
import { mountLedger } from './ledger';
import type { LiveHub } from './live';
import { machines } from './machines';
import { mountNotes } from './notes';
import { mountOldLists } from './old-lists';
import { people } from './people';
import { mountPhotos } from './photos';
import { mountProofs } from './proofs';
import { mountRack } from './rack';
import { mountSaw } from './saw';
import { mountCustomerPage, mountQuotes } from './quotes';
import { mountRates } from './rates';
import { mountRunOrder } from './run-order';
import { mountReadings } from './readings';
import { mountReleases } from './releases';
import { mountSearch } from './search';
import { mountSheets } from './sheets';
import { mountShop } from './shop';
import { gate, mountSession, type SignIn } from './sign-in';
import type { Bench, Standings } from './standings';
import { mountWorkHours } from './work-hours';

export interface AppParts {
  readonly pool: Pool;
  readonly live: LiveHub;
  readonly log: Logger;
  readonly standings: Standings;
  readonly bench: Bench;
  /** Host names under which the shop is served besides this machine's own. */
  readonly hosts?: readonly string[];
  /** The origin that tags lead to; null to take the one that whoever asks reached the shop by. */
  readonly origin?: string | null;
  /** The shop's time zone; this machine's where it is not said. */
  readonly timeZone?: string;
  readonly gaugePort?: number;
  /** How people sign in; by picking their name where it is not said, as on a developer's own machine. */
  readonly signIn?: SignIn;
  /** Folder of the built web application; null to serve the API alone. */
  readonly webDirectory: string | null;
}

const PICK: SignIn = { way: 'pick', lockAfterMin: 0, secure: false };

/** From this size on an answer is packed, bytes. */
const LARGE_BYTES = 2048;
const MOST_BODY = '4mb';

/** The host that the page was asked of; what is no plain name or address counts as this machine. */
function hostOf(req: IncomingMessage): string {
  const host = (req.headers.host ?? '').replace(/:\d+$/, '');
  return /^[\w.-]+$/.test(host) ? host : 'localhost';
}

/** A file whose name has a digest of what is in it, so that it never changes; the worker of the page and its list of files do. */
const HASHED = /-[0-9A-Z]{8}\.\w+(\.gz)?$/;

function mountWeb(app: Express, directory: string): void {
  // The build has packed what is large beside itself.
  const setHeaders = (res: ServerResponse, file: string): void =>
    void res.setHeader('Cache-Control', HASHED.test(file) ? 'public, max-age=31536000, immutable' : 'no-cache');
  app.use(staticPacked(directory, { index: false, serveStatic: { cacheControl: false, setHeaders } }));
  app.get('/{*path}', (req, res, next) => {
    if (req.path.startsWith('/api/')) return next();
    res.set('Cache-Control', 'no-cache').sendFile(join(directory, 'index.html'));
  });
}

/** The whole HTTP side: API under /api, the web application elsewhere. */
export function createApp({ pool, live, log, standings, bench, webDirectory, ...said }: AppParts): Express {
  const { hosts = [], origin = null, timeZone = ownTimeZone(), gaugePort = 8463, signIn = PICK } = said;
  const app = express();
  app.disable('x-powered-by');
  // Entity tags are of versions: one of the bytes would cost every answer a digest that nobody asks for.
  app.disable('etag');
  app.use(
    helmet({
      // Plain HTTP on loopback stays so: no upgrade to HTTPS.
      contentSecurityPolicy: {
        directives: {
          'upgrade-insecure-requests': null,
          'style-src': ["'self'", "'unsafe-inline'"],
          'worker-src': ["'self'"],
          // A gauge speaks by WebSocket from this machine, or from the one that serves the page.
          'connect-src': [
            "'self'",
            'ws://127.0.0.1:*',
            'ws://localhost:*',
            (req) => `ws://${hostOf(req)}:*`,
            (req) => `wss://${hostOf(req)}:*`,
          ],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  // What is small is sent as it is; the live line must not wait for a full block.
  app.use(compression({ threshold: LARGE_BYTES, filter: (req, res) => req.path !== routes.live && compression.filter(req, res) }));
  app.use(doors(hosts), writesLimited());
  app.use([routes.bundles, routes.photos(':id'), routes.readingsFile(':id')], uploadsLimited());
  app.use('/api', gate(pool, signIn));
  mountBundleIn(app, pool);
  app.use('/api', express.json({ limit: MOST_BODY, strict: true }), plainBody, (_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  app.get(routes.alive, (_req, res) => void res.json({ ok: true }));
  app.get(routes.health, async (_req, res) => {
    const ready = await pool.query('select 1').then(
      () => true,
      () => false,
    );
    if (ready) res.json({ ok: true });
    else res.status(503).set('Retry-After', String(RETRY_AFTER_S)).json({ ok: false, waitsFor: 'the database' });
  });
  app.head(routes.live, (_req, res) => res.end());
  app.get(routes.live, (_req, res) => live.attach(res));
  mountSession(app, pool, signIn);
  mountAudit(app, pool);
  mountShop(app, pool, { timeZone, gaugePort });
  mountInstruments(app, pool);
  mountShopRecord(app, pool, drillSets);
  mountShopRecord(app, pool, tools);
  mountShopRecord(app, pool, people);
  mountShopRecord(app, pool, machines);
  mountRack(app, pool);
  mountSaw(app, pool, standings);
  mountRates(app, pool);
  mountWorkHours(app, pool);
  mountRunOrder(app, pool, standings);
  mountCalendar(app, pool);
  mountHouseRules(app, pool, { standings, bench });
  mountFloor(app, pool, standings);
  mountSearch(app, pool);
  mountLedger(app, pool, { timeZone, standings });
  mountOldLists(app, pool);
  mountEverything(app, pool, { timeZone });
  mountJobs(app, pool);
  mountSheets(app, pool);
  mountAlike(app, pool);
  mountEditable(app, pool, components);
  mountEditable(app, pool, places);
  mountReadings(app, pool);
  mountChoices(app, pool, signIn);
  mountReleases(app, pool);
  mountProofs(app, pool);
  mountNotes(app, pool);
  mountQuotes(app, pool, { timeZone });
  mountPhotos(app, pool);
  mountDocuments(app, pool, { timeZone, origin });
  mountBundleOut(app, pool);
  mountCustomerPage(app, pool, { timeZone });
  mountCalendarFeed(app, pool);
  if (webDirectory) mountWeb(app, webDirectory);
  app.use((_req, res) => sendProblem(res, notFound('page')));
  app.use(errorMiddleware(log));
  return app;
}
