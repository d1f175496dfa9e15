import type { Problem } from '@iron-patch/core';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';

/** The least that is taken, of its 0 to 4: more than ten to the eighth guesses. */
const LEAST_SCORE = 3;
/** The sum over a long text takes long, and says nothing more. */
const LOOKED_AT = 64;

let factory: ZxcvbnFactory | null = null;
/** Its lists take memory and a moment: read when somebody first chooses a password. */
const guesser = (): ZxcvbnFactory => (factory ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs }));

/**
 * What is wrong with a password that somebody chooses: that it stands in the lists of those that are tried first, or is made of the names
 * of whom it is for.
 *
 * @param names of the person and the shop
 */
export function guessable(password: string, names: readonly string[]): readonly Problem[] {
  const own = names.flatMap((n) => [n, ...n.split(/\s+/)]).filter((n) => n.length > 2);
  if (guesser().check(password.slice(0, LOOKED_AT), own).score >= LEAST_SCORE) return [];
  return [
    {
      code: 'guessable',
      path: 'password',
      message: 'Password: it is one of those that are tried first. Take four words that do not belong together.',
    },
  ];
}
