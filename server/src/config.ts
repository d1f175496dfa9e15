/** What the server is told from outside, by environment variables. */
export interface Config {
  readonly port: number;
  readonly databaseUrl: string;
  readonly migrationsDirectory: string;
  readonly webDirectory: string | null;
  /** The shop's card, read the first time; null to leave the shop empty. */
  readonly shopFile: string | null;
}

/** Reads the environment; says which variable is wrong. */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const port = Number(env['IRON_PATCH_PORT'] ?? '8460');
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error('IRON_PATCH_PORT is a port from 1 to 65535.');
  const databaseUrl = env['IRON_PATCH_DATABASE_URL'];
  if (!databaseUrl) throw new Error('IRON_PATCH_DATABASE_URL is missing. Start with ./iron-patch demo, which sets it.');
  return {
    port,
    databaseUrl,
    migrationsDirectory: env['IRON_PATCH_MIGRATIONS'] ?? 'server/migrations',
    webDirectory: env['IRON_PATCH_WEB'] ?? null,
    shopFile: env['IRON_PATCH_SHOP'] ?? null,
  };
}
