import { isTimeZone, ownTimeZone } from '@iron-patch/contract';
import { onlyHere, readNetwork, type Network } from './network';
import type { SignIn } from './sign-in';

/** What the server is told from outside, by environment variables. */
export interface Config {
  readonly port: number;
  readonly databaseUrl: string;
  /** The same database as the role that owns it, which brings it up to date. */
  readonly ownerUrl: string;
  readonly migrationsDirectory: string;
  readonly webDirectory: string | null;
  /** The shop's card, read the first time; null to leave the shop empty. */
  readonly shopFile: string | null;
  /** Host names under which the shop is served besides this machine's own. */
  readonly hosts: readonly string[];
  /** The shop's time zone. */
  readonly timeZone: string;
  readonly network: Network;
  /** Where a gauge on a screen's own machine is looked for first. */
  readonly gaugePort: number;
  readonly signIn: SignIn;
}

const HOST_NAME = /^[\w.-]+$/;

function hostsIn(text: string): string[] {
  const names = text
    .split(',')
    .map((n) => n.trim())
    .filter(Boolean);
  const wrong = names.find((n) => !HOST_NAME.test(n));
  if (wrong !== undefined) throw new Error(`IRON_PATCH_HOSTS has host names without a port, apart by commas: "${wrong}" is none.`);
  return names;
}

function zoneIn(zone: string = ownTimeZone()): string {
  if (!isTimeZone(zone)) throw new Error(`IRON_PATCH_TIME_ZONE is a time zone like Europe/Oslo, not "${zone}".`);
  return zone;
}

function portIn(env: NodeJS.ProcessEnv, name: string, usual: number): number {
  const port = Number(env[name] ?? usual);
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error(`${name} is a port from 1 to 65535.`);
  return port;
}

const USUAL_LOCK_MIN = 30;
const MOST_LOCK_MIN = 480;

/** How people sign in. Without passwords nobody but this machine may open the shop. */
function signInOf(env: NodeJS.ProcessEnv, network: Network): SignIn {
  const way = env['IRON_PATCH_SIGN_IN'] || 'password';
  if (way !== 'password' && way !== 'pick')
    throw new Error(`IRON_PATCH_SIGN_IN is password, or pick for a shop without passwords: not "${way}".`);
  if (way === 'pick' && !onlyHere(network))
    throw new Error(
      'Where people only pick their name, the shop opens on its own machine alone: leave out IRON_PATCH_BIND, or let people sign in with IRON_PATCH_SIGN_IN=password.',
    );
  const lockAfterMin = Number(env['IRON_PATCH_LOCK_MINUTES'] ?? USUAL_LOCK_MIN);
  if (!Number.isInteger(lockAfterMin) || lockAfterMin < 0 || lockAfterMin > MOST_LOCK_MIN)
    throw new Error(`IRON_PATCH_LOCK_MINUTES is a number of minutes from 1 to ${MOST_LOCK_MIN}, or 0 for screens that never lock.`);
  return { way, lockAfterMin, secure: network.certificate !== null || (network.address?.startsWith('https:') ?? false) };
}

/** Reads the environment; says which variable is wrong. */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const databaseUrl = env['IRON_PATCH_DATABASE_URL'];
  if (!databaseUrl) throw new Error('IRON_PATCH_DATABASE_URL is missing. Start with ./iron-patch demo, which sets it.');
  const network = readNetwork(env);
  return {
    port: portIn(env, 'IRON_PATCH_PORT', 8460),
    databaseUrl,
    ownerUrl: env['IRON_PATCH_OWNER_URL'] ?? databaseUrl,
    migrationsDirectory: env['IRON_PATCH_MIGRATIONS'] ?? 'server/migrations',
    webDirectory: env['IRON_PATCH_WEB'] ?? null,
    shopFile: env['IRON_PATCH_SHOP'] || null,
    timeZone: zoneIn(env['IRON_PATCH_TIME_ZONE']),
    hosts: hostsIn(env['IRON_PATCH_HOSTS'] ?? ''),
    network,
    signIn: signInOf(env, network),
    gaugePort: portIn(env, 'IRON_PATCH_GAUGE_PORT', 8463),
  };
}
