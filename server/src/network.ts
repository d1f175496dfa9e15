import { readFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { networkInterfaces, type NetworkInterfaceInfo } from 'node:os';
import { createSecureContext } from 'node:tls';

/** The certificate that a shop serves under, and its key, both PEM. */
export interface Certificate {
  readonly cert: Buffer;
  readonly key: Buffer;
}

/** Where the shop is to be found. */
export interface Network {
  /** The address that the server listens on. */
  readonly bind: string;
  readonly certificate: Certificate | null;
  /** The origin that other machines reach the shop by, which the tags lead to; null to take it from whoever asks. */
  readonly address: string | null;
}

const ANY = new Set(['0.0.0.0', '::']);
const isLoopback = (ip: string): boolean => ip.startsWith('127.') || ip === '::1';

type Interfaces = Readonly<Record<string, readonly NetworkInterfaceInfo[] | undefined>>;

/** This machine's own addresses on its networks. */
const ownAddresses = (all: Interfaces): string[] =>
  Object.values(all).flatMap((list) => (list ?? []).filter((a) => !a.internal && !a.address.startsWith('fe80')).map((a) => a.address));

/** An address as it stands in a link. */
const inLink = (ip: string): string => (isIP(ip) === 6 ? `[${ip}]` : ip);

function certificateIn(env: NodeJS.ProcessEnv): Certificate | null {
  const { IRON_PATCH_CERTIFICATE: certFile, IRON_PATCH_KEY: keyFile } = env;
  if (!certFile && !keyFile) return null;
  if (!certFile || !keyFile) throw new Error('IRON_PATCH_CERTIFICATE and IRON_PATCH_KEY belong together: say both files, or neither.');
  const read = (file: string, name: string): Buffer => {
    try {
      return readFileSync(file);
    } catch (e) {
      throw new Error(`${name} is a file that this server can read: ${file} is none (${(e as NodeJS.ErrnoException).code}).`, { cause: e });
    }
  };
  const pair = { cert: read(certFile, 'IRON_PATCH_CERTIFICATE'), key: read(keyFile, 'IRON_PATCH_KEY') };
  try {
    createSecureContext(pair);
  } catch (cause) {
    throw new Error(
      `IRON_PATCH_CERTIFICATE and IRON_PATCH_KEY are PEM files of one pair, without a password: ${(cause as Error).message}.`,
      { cause },
    );
  }
  return pair;
}

function addressIn(text: string): string {
  const url = URL.canParse(text) ? new URL(text) : null;
  if (url && /^https?:$/.test(url.protocol) && url.pathname === '/' && !url.search && !url.hash && !url.username) return url.origin;
  throw new Error(`IRON_PATCH_ADDRESS is an address like https://shop.example:8460, without a path: "${text}" is none.`);
}

/** Reads where the shop is to be found; says which variable is wrong. */
export function readNetwork(env: NodeJS.ProcessEnv): Network {
  const bind = env['IRON_PATCH_BIND'] || '127.0.0.1';
  if (isIP(bind) === 0)
    throw new Error(`IRON_PATCH_BIND is an address of this machine, such as 192.168.1.20, or 0.0.0.0 for all of them: "${bind}" is none.`);
  const address = env['IRON_PATCH_ADDRESS'];
  return { bind, certificate: certificateIn(env), address: address ? addressIn(address) : null };
}

/** Names under which the shop is asked for besides this machine's own: what it listens on, and what it is called from outside. */
export function namesOf({ bind, address }: Network, all: Interfaces = networkInterfaces()): string[] {
  const listens = ANY.has(bind) ? ownAddresses(all) : [bind];
  return [...listens.map(inLink), ...(address ? [new URL(address).hostname] : [])];
}

/**
 * The origin that a tag leads to; null where only this machine can open the shop and nothing else was said, so that whoever asks knows it
 * best.
 */
export function originOf({ bind, certificate, address }: Network, port: number, all: Interfaces = networkInterfaces()): string | null {
  if (address) return address;
  const host = ANY.has(bind) ? ownAddresses(all)[0] : isLoopback(bind) ? undefined : bind;
  return host ? `${certificate ? 'https' : 'http'}://${inLink(host)}:${port}` : null;
}

/** The origin by which this machine itself reaches the shop. */
export function reachedHere({ bind, certificate }: Network, port: number): string {
  const host = bind === '0.0.0.0' ? '127.0.0.1' : bind === '::' ? '::1' : bind;
  return `${certificate ? 'https' : 'http'}://${inLink(host)}:${port}`;
}

/** True where no other machine can open the shop. */
export const onlyHere = ({ bind }: Network): boolean => isLoopback(bind);

/** What whoever starts the shop should know of its place on the network; empty where only this machine can open it. */
export function warningOf({ bind, certificate }: Network): string {
  if (isLoopback(bind) || certificate) return '';
  return (
    `The shop speaks plain HTTP on the network of ${bind}: whoever listens there reads along, passwords too, and a tablet cannot open it ` +
    'without the network. IRON_PATCH_CERTIFICATE and IRON_PATCH_KEY make it HTTPS.'
  );
}
