import { readingInput } from '@iron-patch/contract';
import { may } from '@iron-patch/core/terms/access';
import type { Pool } from '../db';
import {
  answerKept,
  answerTo,
  checkedBy,
  mayNot,
  notFound,
  notSignedInHere,
  whoIsAtTheBench,
  type Answer,
  type AtTheGate,
  type Keyed,
} from '../http';
import { standsWith, takeOne } from './reading-queries';
import { takeReading } from './take-reading';

/** One reading that is to be recorded, as it was sent. */
export interface SentReading {
  readonly jobId: string;
  readonly personId: string;
  readonly input: unknown;
  readonly keyed: Keyed;
}

/** What whoever took it may do here; null where they are not signed in on the device that sends it. */
export type AccessOf = AtTheGate['accessOf'];

/**
 * Records a reading once however often it is sent. The commonest act of the shop, in two questions to the database: what it stands with,
 * and its storing.
 *
 * @throws HttpProblem where it is refused
 */
export async function recordReading(
  pool: Pool,
  screen: string,
  { jobId, personId, input, keyed }: SentReading,
  accessOf: AccessOf,
): Promise<Answer> {
  const checked = checkedBy(readingInput, input);
  const stands = await standsWith(pool, jobId, personId, keyed.key, checked);
  if (stands.answered) return answerKept(stands.answered, keyed);
  if (!stands.person) throw whoIsAtTheBench();
  const access = await accessOf(personId);
  if (access === null) throw notSignedInHere();
  if (!may(access, 'bench')) throw mayNot(access, 'bench');
  if (!stands.job) throw notFound('job');
  const reading = takeReading(jobId, personId, checked, stands);
  if (await takeOne(pool, screen, keyed, reading)) return { status: 201, body: reading };
  return answerKept(await answerTo(pool, keyed.key), keyed);
}
