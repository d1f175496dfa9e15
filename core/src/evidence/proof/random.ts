/** A seeded stream of numbers in [0, 1): the 32-bit mulberry generator. Same seed, same numbers, on every machine. */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Standard normal draws from a uniform stream (Box and Muller 1958, both values used). */
export function normalDraws(uniform: () => number): () => number {
  let kept: number | null = null;
  return () => {
    if (kept !== null) {
      const value = kept;
      kept = null;
      return value;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - uniform()));
    const angle = 2 * Math.PI * uniform();
    kept = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}
