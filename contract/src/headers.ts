/** Header names of the API. */
export const HEADERS = {
  /** Id of the person at the bench; needed for everything that stores. */
  person: 'X-Person',
  /** The PIN of the person at the bench, typed for this one act. */
  pin: 'X-Pin',
  /** Id of the open screen, told back in live events. */
  screen: 'X-Screen',
  idempotencyKey: 'Idempotency-Key',
} as const;

/** The entity tag of a version. */
export const etagOf = (version: number): string => `"v${version}"`;

/** The version in an If-Match header, or null when it is not one of ours. */
export function versionOf(tag: string | undefined): number | null {
  const match = /^"v(\d+)"$/.exec(tag ?? '');
  return match ? Number(match[1]) : null;
}
