const BYTES = 32;

/** A secret that nobody guesses, as base64 for an address: thirty-two random bytes. */
export function newSecret(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(BYTES));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');
}
