import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { namesOf, originOf, reachedHere, readNetwork, warningOf } from './network';

const folder = mkdtempSync(join(tmpdir(), 'certificate-'));
const file = (name: string): string => join(folder, name);
const makePair = (name: string): void =>
  void execFileSync(
    'openssl',
    ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', '/CN=shop.test']
      .concat(['-keyout', file(`${name}.key`)])
      .concat(['-out', file(`${name}.crt`)]),
    { stdio: 'ignore' },
  );

const interfaces = {
  lo: [{ address: '127.0.0.1', internal: true }],
  eth0: [
    { address: '192.168.1.20', internal: false },
    { address: 'fe80::1', internal: false },
    { address: 'fd00::20', internal: false },
  ],
} as unknown as NodeJS.Dict<import('node:os').NetworkInterfaceInfo[]>;

it('listens on loopback alone where nothing is said, and warns of nothing', () => {
  const network = readNetwork({});
  expect(network).toEqual({ bind: '127.0.0.1', certificate: null, address: null });
  expect([warningOf(network), originOf(network, 8460, interfaces), reachedHere(network, 8460)]).toEqual([
    '',
    null,
    'http://127.0.0.1:8460',
  ]);
});

it.each([
  ['0.0.0.0', ['192.168.1.20', '[fd00::20]'], 'http://192.168.1.20:8460', 'http://127.0.0.1:8460'],
  ['192.168.1.20', ['192.168.1.20'], 'http://192.168.1.20:8460', 'http://192.168.1.20:8460'],
  ['::', ['192.168.1.20', '[fd00::20]'], 'http://192.168.1.20:8460', 'http://[::1]:8460'],
  ['fd00::20', ['[fd00::20]'], 'http://[fd00::20]:8460', 'http://[fd00::20]:8460'],
])('bound to %s it goes by the addresses it listens on, and says what that means', (bind, names, origin, here) => {
  const network = readNetwork({ IRON_PATCH_BIND: bind });
  expect(namesOf(network, interfaces)).toEqual(names);
  expect([originOf(network, 8460, interfaces), reachedHere(network, 8460)]).toEqual([origin, here]);
  expect(warningOf(network)).toContain('passwords too');
  expect(warningOf(network)).toContain('plain HTTP');
});

it('is reached by the address that was said, whatever it listens on', () => {
  const network = readNetwork({ IRON_PATCH_BIND: '192.168.1.20', IRON_PATCH_ADDRESS: 'https://Shop.example:8460/' });
  expect(namesOf(network, interfaces)).toEqual(['192.168.1.20', 'shop.example']);
  expect(originOf(network, 8461, interfaces)).toBe('https://shop.example:8460');
});

describe('the certificate', () => {
  beforeAll(() => {
    makePair('ours');
    makePair('other');
    writeFileSync(file('no.crt'), 'no certificate');
  });

  it('makes it HTTPS', () => {
    const network = readNetwork({
      IRON_PATCH_CERTIFICATE: file('ours.crt'),
      IRON_PATCH_KEY: file('ours.key'),
      IRON_PATCH_BIND: '192.168.1.20',
    });
    expect(reachedHere(network, 8460)).toBe('https://192.168.1.20:8460');
    expect(warningOf(network)).not.toContain('plain HTTP');
  });

  it.each([
    [{ IRON_PATCH_CERTIFICATE: file('ours.crt') }, 'belong together'],
    [{ IRON_PATCH_KEY: file('ours.key') }, 'belong together'],
    [{ IRON_PATCH_CERTIFICATE: file('ours.crt'), IRON_PATCH_KEY: file('other.key') }, 'of one pair'],
    [{ IRON_PATCH_CERTIFICATE: file('no.crt'), IRON_PATCH_KEY: file('ours.key') }, 'of one pair'],
    [
      { IRON_PATCH_CERTIFICATE: file('gone.crt'), IRON_PATCH_KEY: file('ours.key') },
      'IRON_PATCH_CERTIFICATE is a file that this server can read',
    ],
  ])('is refused as %j', (env, why) => expect(() => readNetwork(env)).toThrow(why));
});

it.each([
  [{ IRON_PATCH_BIND: 'localhost' }, 'IRON_PATCH_BIND is an address'],
  [{ IRON_PATCH_BIND: '192.168.1.300' }, 'IRON_PATCH_BIND is an address'],
  [{ IRON_PATCH_ADDRESS: 'shop.example' }, 'IRON_PATCH_ADDRESS is an address like'],
  [{ IRON_PATCH_ADDRESS: 'ftp://shop.example' }, 'IRON_PATCH_ADDRESS is an address like'],
  [{ IRON_PATCH_ADDRESS: 'https://shop.example/jobs' }, 'without a path'],
  [{ IRON_PATCH_ADDRESS: 'https://me@shop.example' }, 'without a path'],
])('refuses %j', (env, why) => expect(() => readNetwork(env)).toThrow(why));
