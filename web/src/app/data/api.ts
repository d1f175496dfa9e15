import { Injectable } from '@angular/core';
import { etagOf, HEADERS, PROBLEM_TYPE, type ProblemDetails } from '@iron-patch/contract/wire';
import type { Problem } from '@iron-patch/core';
import { newId } from './new-id';
import { readStored } from './stored';

/** The server answered with a problem. */
export class ApiProblem extends Error {
  constructor(readonly details: ProblemDetails) {
    super(details.title);
  }
}

/** No answer came: the line is down or the server is. Nothing is known of what became of the request. */
export class NoAnswer extends Error {}

/** What a form says when no answer came. */
export const NO_ANSWER = 'The server does not answer. What you typed is still here and stays over a reload: try again in a moment.';

/** Why the server would not take something, so that sending it again is no use; null when it may yet go: no answer, busy, broken. */
export function refusalOf(error: unknown): readonly Problem[] | null {
  if (!(error instanceof ApiProblem)) return null;
  const { status, problems, title, detail } = error.details;
  if (status < 400 || status >= 500 || status === 408 || status === 429) return null;
  return problems ?? [{ code: 'refused', path: '', message: `${title} ${detail}` }];
}

/** Id of this screen, so that its own changes are not news to it. */
export const SCREEN_ID = newId();
export const PERSON_KEY = 'iron-patch.person';
const TIMEOUT_MS = 15_000;
/** A picture over a slow line. */
const FILE_TIMEOUT_MS = 120_000;

/** What the server says when it speaks in no form that we know. */
const unreadable = (status: number): ProblemDetails => ({
  type: 'about:blank',
  status,
  title: 'The server gave no readable answer.',
  detail: 'Try again.',
});

/** JSON over HTTP with the headers that the contract asks for. */
@Injectable({ providedIn: 'root' })
export class Api {
  /** Keys of changes whose answer was lost: the same change sent again is the same, not somebody else's. */
  private readonly unanswered = new Map<string, string>();

  get<T>(path: string): Promise<T> {
    return this.send<T>('GET', path, undefined, {});
  }

  /** Records something once under its key; `person` when it was typed by another than who is at the bench now. */
  post<T>(path: string, body: unknown, key: string = newId(), person?: string): Promise<T> {
    return this.send<T>('POST', path, body, { [HEADERS.idempotencyKey]: key, ...(person ? { [HEADERS.person]: person } : {}) });
  }

  /** Changes what was read at `version`; 0 makes the first. */
  put<T>(path: string, body: unknown, version: number): Promise<T> {
    return this.change<T>('PUT', path, body, version === 0 ? { 'If-None-Match': '*' } : { 'If-Match': etagOf(version) });
  }

  delete(path: string, version: number): Promise<void> {
    return this.change<void>('DELETE', path, undefined, { 'If-Match': etagOf(version) });
  }

  /** Sends a file as it is; its id is its key, so that it is kept once however often it is sent. */
  postFile<T>(path: string, file: Blob, key: string, person?: string): Promise<T> {
    return this.send<T>('POST', path, file, {
      [HEADERS.idempotencyKey]: key,
      'Content-Type': file.type,
      ...(person ? { [HEADERS.person]: person } : {}),
    });
  }

  private async change<T>(method: string, path: string, body: unknown, condition: Record<string, string>): Promise<T> {
    const same = JSON.stringify([method, path, condition, body]);
    const key = this.unanswered.get(same) ?? newId();
    this.unanswered.set(same, key);
    try {
      const answer = await this.send<T>(method, path, body, { ...condition, [HEADERS.idempotencyKey]: key });
      this.unanswered.delete(same);
      return answer;
    } catch (e) {
      if (refusalOf(e)) this.unanswered.delete(same);
      throw e;
    }
  }

  private async send<T>(method: string, path: string, body: unknown, headers: Record<string, string>): Promise<T> {
    const response = await fetch(path, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        [HEADERS.person]: readStored<string>(PERSON_KEY, ''),
        [HEADERS.screen]: SCREEN_ID,
        ...headers,
      },
      signal: AbortSignal.timeout(body instanceof Blob ? FILE_TIMEOUT_MS : TIMEOUT_MS),
      ...(body === undefined ? {} : { body: body instanceof Blob ? body : JSON.stringify(body) }),
    }).catch((cause: unknown) => {
      throw new NoAnswer('No answer from the server.', { cause });
    });
    const json: unknown = await response.json().catch(() => null);
    if (response.ok) return json as T;
    const known = response.headers.get('Content-Type')?.startsWith(PROBLEM_TYPE) && json;
    throw new ApiProblem(known ? (json as ProblemDetails) : unreadable(response.status));
  }
}
