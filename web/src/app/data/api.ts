import { HttpClient, HttpContext, HttpEventType } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { etagOf, HEADERS } from '@iron-patch/contract/wire';
import { filter, firstValueFrom, fromEvent, map, takeUntil, tap } from 'rxjs';
import { refusalOf } from './answers';
import { WITHIN_MS } from './http';
import { newId } from './new-id';

/** A shop of many years is packed within that, ms. */
const PACKED_WITHIN_MS = 20 * 60_000;

/** JSON over HTTP with the headers that the contract asks for. Everything rejects with an `ApiProblem` or a `NoAnswer`. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);
  /** Keys of changes whose answer was lost: the same change sent again is the same, not somebody else's. */
  private readonly unanswered = new Map<string, string>();

  get<T>(path: string): Promise<T> {
    return firstValueFrom(this.http.get<T>(path));
  }

  /** Records something once under its key; `person` when it was typed by another than who is at the bench now. */
  post<T>(path: string, body: unknown, key: string = newId(), person?: string): Promise<T> {
    return this.send<T>('POST', path, body, { [HEADERS.idempotencyKey]: key, ...(person ? { [HEADERS.person]: person } : {}) });
  }

  /** Changes what was read at `version`; 0 makes the first. `pin` where whoever does it is asked for theirs. */
  put<T>(path: string, body: unknown, version: number, pin = ''): Promise<T> {
    const condition: Record<string, string> = version === 0 ? { 'If-None-Match': '*' } : { 'If-Match': etagOf(version) };
    return this.change<T>('PUT', path, body, condition, pin ? { [HEADERS.pin]: pin } : {});
  }

  delete(path: string, version: number): Promise<void> {
    return this.change<void>('DELETE', path, undefined, { 'If-Match': etagOf(version) });
  }

  /**
   * Sends a file as it is; its id is its key, so that it is kept once however often it is sent.
   *
   * @param person who typed it, where that is another than who is at the bench now
   * @param gone is told which share of it went, 0 to 1
   */
  postFile<T>(path: string, file: Blob, key: string, person = '', gone: (share: number) => void = () => undefined): Promise<T> {
    const headers = {
      [HEADERS.idempotencyKey]: key,
      'Content-Type': file.type,
      ...(person ? { [HEADERS.person]: person } : {}),
    };
    const going = this.http.request<T>('POST', path, { body: file, headers, observe: 'events', reportProgress: true }).pipe(
      tap((e) => e.type === HttpEventType.UploadProgress && gone(e.total ? e.loaded / e.total : 0)),
      filter((e) => e.type === HttpEventType.Response),
      map((e) => e.body as T),
    );
    return firstValueFrom(going);
  }

  /**
   * Fetches a file of any size.
   *
   * @param given ends it early
   * @param got is told how many bytes of it came
   * @returns null where it was ended
   */
  file(path: string, given: AbortSignal, got: (bytes: number) => void): Promise<Blob | null> {
    const context = new HttpContext().set(WITHIN_MS, PACKED_WITHIN_MS);
    const coming = this.http.get(path, { responseType: 'blob', observe: 'events', reportProgress: true, context }).pipe(
      tap((e) => e.type === HttpEventType.DownloadProgress && got(e.loaded)),
      filter((e) => e.type === HttpEventType.Response),
      map((e) => e.body),
      takeUntil(fromEvent(given, 'abort')),
    );
    return firstValueFrom(coming, { defaultValue: null });
  }

  private async change<T>(
    method: string,
    path: string,
    body: unknown,
    condition: Record<string, string>,
    more: Record<string, string> = {},
  ): Promise<T> {
    const same = JSON.stringify([method, path, condition, body]);
    const key = this.unanswered.get(same) ?? newId();
    this.unanswered.set(same, key);
    try {
      const answer = await this.send<T>(method, path, body, { ...condition, ...more, [HEADERS.idempotencyKey]: key });
      this.unanswered.delete(same);
      return answer;
    } catch (e) {
      if (refusalOf(e)) this.unanswered.delete(same);
      throw e;
    }
  }

  /** Asks as it is said, under no key and no condition. */
  send<T>(method: string, path: string, body: unknown, headers: Record<string, string> = {}): Promise<T> {
    return firstValueFrom(this.http.request<T>(method, path, { body, headers }));
  }
}
