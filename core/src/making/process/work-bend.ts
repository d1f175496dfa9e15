/** How work is held against the push of the tool. */
export type Held = 'chuck' | 'chuck and centre' | 'centres';

/**
 * How far round work is pushed away where the tool is, mm: a beam held as it is. Free-standing F a³/3EI; chuck and centre
 * F a³ b² (3L + b)/12EIL³; between centres F a² b²/3EIL.
 *
 * @param pushN what pushes it
 * @param youngMpa modulus of its material
 * @param diameterMm taken as one diameter all along
 * @param lengthMm from the chuck to its free end or to the centre, or between the centres
 * @param atMm from the chuck, or from one centre
 */
export function workBendMm(held: Held, pushN: number, youngMpa: number, diameterMm: number, lengthMm: number, atMm: number): number {
  const ei = youngMpa * (Math.PI / 64) * diameterMm ** 4;
  const [a, b] = [atMm, lengthMm - atMm];
  if (held === 'chuck') return (pushN * a ** 3) / (3 * ei);
  if (held === 'centres') return (pushN * a ** 2 * b ** 2) / (3 * ei * lengthMm);
  return (pushN * a ** 3 * b ** 2 * (3 * lengthMm + b)) / (12 * ei * lengthMm ** 3);
}
