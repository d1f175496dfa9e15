import type { Problem } from '@iron-patch/core';
import { mayNotWords, type Access, type Act } from '@iron-patch/core/terms/access';
import type { NotNow } from '../db';
import { PROBLEM_NAMES, type ProblemDetails } from '@iron-patch/contract';

/** An answer that is a problem (RFC 9457). Thrown by handlers, sent by the error middleware. */
export class HttpProblem extends Error {
  constructor(readonly details: ProblemDetails) {
    super(details.title);
  }
}

const make = (
  name: keyof typeof PROBLEM_NAMES,
  status: number,
  title: string,
  detail: string,
  more: Partial<ProblemDetails> = {},
): HttpProblem => new HttpProblem({ type: `/problems/${PROBLEM_NAMES[name]}`, status, title, detail, ...more });

export const invalid = (problems: readonly Problem[]): HttpProblem =>
  make(
    'invalid',
    422,
    'Something in it is not right.',
    problems
      .map((p) => p.message)
      .slice(0, 5)
      .join(' '),
    { problems },
  );

export const notFound = (what: string): HttpProblem =>
  make('notFound', 404, `There is no such ${what}.`, `The ${what} may have been asked for by an old link.`);

/** Something that is made of what is not there yet. */
export const notYet = (title: string, detail: string): HttpProblem => make('notFound', 404, title, detail);

export const changedByAnother = (current: unknown): HttpProblem =>
  make('changed', 412, 'Somebody else changed this in the meantime.', 'Look at their change, then save yours again or keep theirs.', {
    current,
  });

export const movedMeanwhile = (problems: readonly Problem[]): HttpProblem =>
  make('changed', 409, 'It is no longer what was on your screen.', problems.map((p) => p.message).join(' '), { problems });

export const conditionNeeded = (): HttpProblem =>
  make(
    'unconditional',
    428,
    'Say which version is being changed.',
    'Send If-Match with the ETag that was read, or If-None-Match: * for the first.',
  );

export const whoIsAtTheBench = (): HttpProblem =>
  make('person', 403, 'Who is at the bench?', 'Pick your name at the top right, then do it again.');

/** Nobody is signed in on that device. */
export const signInFirst = (): HttpProblem =>
  make('signIn', 401, 'Sign in first.', 'Nobody is signed in on this screen, or everybody was signed out. What you typed is kept.');

/** Somebody is, and has to say so again. */
export const lockedNow = (): HttpProblem =>
  make('locked', 401, 'This screen is locked.', 'Unlock it, then do it again. What you typed is kept.');

/** Somebody else is at the bench than the one who is named. */
export const notSignedInHere = (): HttpProblem =>
  make('notHere', 401, 'They are not signed in on this screen.', 'Whoever took it signs in here; then it goes by itself.');

export const mayNot = (access: Access, act: Act): HttpProblem =>
  make('mayNot', 403, 'That is for somebody else here.', mayNotWords(access, act));

/** What stands in no table of who may do what: nobody may. */
export const notAllowed = (): HttpProblem => make('mayNot', 403, 'Nobody may do that.', 'It is nothing that this shop does.');

/** Somebody came in by a password that another chose. */
export const ownPasswordFirst = (): HttpProblem =>
  make('locked', 401, 'Choose a password of your own first.', 'The one that you came in by was chosen by somebody else.');

/** The first account cannot be made so. */
export const notFirst = (detail: string): HttpProblem => make('held', 409, 'The first account cannot be made here.', detail);

/** @param seconds until it may be tried again */
export const waitFirst = (seconds: number): HttpProblem =>
  make('wait', 429, 'Too many wrong ones.', `Try again in ${seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`}.`);

export const keyUsedForAnother = (): HttpProblem =>
  make('reused', 422, 'This key was used for something else.', 'Each new record needs an Idempotency-Key of its own.');

export const keyNeeded = (): HttpProblem => make('reused', 400, 'A key is needed.', 'Send an Idempotency-Key header with each new record.');

export const stillInUse = (detail: string): HttpProblem => make('inUse', 409, 'It is still in use.', detail);

/** It may not go on as things stand: what is missing, one problem each. */
export const heldBack = (title: string, problems: readonly Problem[]): HttpProblem =>
  make('held', 409, title, problems.map((p) => p.message).join(' '), { problems });

export const unreadable = (): HttpProblem =>
  make('invalid', 400, 'The request could not be read.', 'Send JSON in UTF-8, as a screen of Iron Patch does.', {
    problems: [{ code: 'json', path: '', message: 'The request could not be read.' }],
  });
/** @param mostBytes what may be sent at once there */
export const tooLarge = (mostBytes: number): HttpProblem =>
  make('tooLarge', 413, 'That is too much at once.', `Send no more than ${Math.floor(mostBytes / 2 ** 20)} MB.`);

const NOT_NOW: Readonly<Record<NotNow, readonly [title: string, detail: string]>> = {
  away: ['The database does not answer.', 'It is started again by itself. Send the same again in a moment.'],
  busy: ['Somebody else is at the same thing.', 'Send the same again in a moment.'],
  full: ['There is no room left on the disk.', 'Nothing can be stored until there is. Make room on the shop’s computer.'],
};
/** The database cannot just now; the same request may go in a moment. */
export const later = (why: NotNow): HttpProblem => make('notNow', 503, ...NOT_NOW[why]);

export const bug = (): HttpProblem =>
  make(
    'bug',
    500,
    'Something broke on our side.',
    'Nothing was stored. Try again; if it stays, tell whoever looks after Iron Patch here: its log says why.',
  );

export const tooMany = (): HttpProblem =>
  make('tooMany', 429, 'That is more at once than is taken.', 'It is kept where it is: it goes again by itself in a moment.');

export const anotherSite = (): HttpProblem => make('crossSite', 403, 'Not from another site.', 'Open Iron Patch itself.');

export const notServedHere = (): HttpProblem =>
  make(
    'notServed',
    421,
    'The shop is not served under this name.',
    'Open it by the address that it printed when it started, or name this one in IRON_PATCH_HOSTS.',
  );
