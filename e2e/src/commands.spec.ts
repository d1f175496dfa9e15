import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';

const ROOT = resolve(__dirname, '../..');
const HELP = readFileSync(`${ROOT}/tools/help.txt`, 'utf8');
/** Commands are indented once, what they do stands beside them. */
const told = [...HELP.split('\nSettings')[0]!.matchAll(/^ {2}([a-z]+)\b/gm)].map((m) => m[1]!);

/** What it says to a command. Without Node.js it comes no further than to see whether it knows it. */
function saidTo(name: string): string {
  try {
    return execFileSync('/bin/bash', ['iron-patch', name], { cwd: ROOT, env: { PATH: '' }, encoding: 'utf8', stdio: 'pipe' });
  } catch (e) {
    return (e as { stderr: string }).stderr;
  }
}

it.each(told)('the help page tells of %s, and the one command knows it', (name) => {
  expect(saidTo(name)).not.toContain('there is no command');
});

it('tells of them all, and knows no others', () => {
  expect(told.length).toBeGreaterThan(12);
  expect(saidTo('nonsense')).toContain("there is no command 'nonsense'");
});
