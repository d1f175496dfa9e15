import { PROBLEM_TYPE } from '@iron-patch/contract';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { notNow } from '../db';
import { bug, HttpProblem, later, tooLarge, unreadable } from './http-problem';

/** Seconds after which a screen asks again. */
export const RETRY_AFTER_S = 1;

export function sendProblem(res: Response, problem: HttpProblem): void {
  res.status(problem.details.status).type(PROBLEM_TYPE).send(JSON.stringify(problem.details));
}

/** What Express and its parsers throw: whose fault it is stands in the status. */
interface BodyParserError {
  readonly type?: string;
  readonly status?: number;
  /** Of a body that is too large: the most that is taken there, bytes. */
  readonly limit?: number;
}

/** Turns whatever a handler threw into problem details; a bug is logged and told without its insides. */
export const errorMiddleware =
  (log: Logger): ErrorRequestHandler =>
  (error: unknown, req, res, next) => {
    if (res.headersSent) return next(error);
    if (error instanceof HttpProblem) return sendProblem(res, error);
    const { type, status = 500, limit = 0 } = (error ?? {}) as BodyParserError;
    if (type === 'entity.too.large') return sendProblem(res, tooLarge(limit));
    if ((status >= 400 && status < 500) || error instanceof URIError) return sendProblem(res, unreadable());
    const why = notNow(error);
    if (why) {
      log.warn({ err: error, method: req.method, path: req.path }, `database ${why}`);
      return sendProblem(res.set('Retry-After', String(RETRY_AFTER_S)), later(why));
    }
    log.error({ err: error, method: req.method, path: req.path }, 'unexpected');
    sendProblem(res, bug());
  };
