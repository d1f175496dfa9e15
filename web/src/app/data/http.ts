import {
  HttpContextToken,
  HttpErrorResponse,
  HttpXhrBackend,
  provideHttpClient,
  withFetch,
  withInterceptors,
  type HttpHandlerFn,
  type HttpInterceptorFn,
  type HttpRequest,
} from '@angular/common/http';
import { inject } from '@angular/core';
import { HEADERS, PROBLEM_TYPE, type ProblemDetails } from '@iron-patch/contract/wire';
import { catchError, Subject, throwError, timeout } from 'rxjs';
import { ApiProblem, NoAnswer } from './answers';
import { newId } from './new-id';
import { readStored } from './stored';

/** Id of this screen, so that its own changes are not news to it. */
export const SCREEN_ID = newId();
export const PERSON_KEY = 'iron-patch.person';

const TIMEOUT_MS = 15_000;
/** A picture over a slow line. */
const FILE_TIMEOUT_MS = 120_000;
/** How long an answer may take, or the next piece of it, ms; for what takes longer than others. */
export const WITHIN_MS = new HttpContextToken<number | null>(() => null);
/** What the page's own worker answers for a server that it cannot reach. */
const UNREACHED = 504;

/** The server let nobody in: whoever is at the bench signs in first. */
export const signInNeeded = new Subject<void>();
const NOBODY_LET_IN = 401;

/** Says who is at the bench and which screen this is; a request that names somebody keeps the name. */
const sayWho: HttpInterceptorFn = (req, next) => {
  const setHeaders: Record<string, string> = { [HEADERS.screen]: SCREEN_ID };
  if (!req.headers.has(HEADERS.person)) setHeaders[HEADERS.person] = readStored<string>(PERSON_KEY, '');
  return next(req.clone({ setHeaders }));
};

/** What the server says when it speaks in no form that we know. */
const unreadable = (status: number): ProblemDetails => ({
  type: 'about:blank',
  status,
  title: 'The server gave no readable answer.',
  detail: 'Try again.',
});

function problemOf(e: unknown): Error {
  if (!(e instanceof HttpErrorResponse)) return new NoAnswer('No answer from the server.', { cause: e });
  const told = e.headers.get('Content-Type')?.startsWith(PROBLEM_TYPE) && (e.error as ProblemDetails | null);
  if (told) return new ApiProblem(told);
  return e.status === 0 || e.status === UNREACHED
    ? new NoAnswer('No answer from the server.', { cause: e })
    : new ApiProblem(unreadable(e.status));
}

/** Waits only so long, and turns every failure into one of two: a problem that the server told, or no answer. */
const readAnswer: HttpInterceptorFn = (req: HttpRequest<unknown>, next: HttpHandlerFn) =>
  next(req).pipe(
    timeout(req.context.get(WITHIN_MS) ?? (req.body instanceof Blob ? FILE_TIMEOUT_MS : TIMEOUT_MS)),
    catchError((e: unknown) => {
      if (e instanceof HttpErrorResponse && e.status === NOBODY_LET_IN) signInNeeded.next();
      return throwError(() => problemOf(e));
    }),
  );

/** A file whose way out is to be told goes by the older client: `fetch` says nothing of how much went. */
const tellWhatWent: HttpInterceptorFn = (req, next) =>
  req.reportProgress && req.body instanceof Blob ? inject(HttpXhrBackend).handle(req) : next(req);

/** Angular's client, with what every request of the shop says and every answer goes through. */
export const HTTP = provideHttpClient(withFetch(), withInterceptors([sayWho, readAnswer, tellWhatWent]));
