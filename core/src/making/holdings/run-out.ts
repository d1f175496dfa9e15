import type { Lathe } from '../setups';
import { KEYS } from './act';
import { ONE_HOLDING_MM, runOutOf } from './holding';
import type { SetUp } from './set-up';

/** One re-holding between two surfaces. */
export interface Step {
  readonly words: string;
  readonly mm: number;
}

/** What the indicator on one surface swings by while the part turns about another, both mm. */
export interface PredictedRunOut {
  /** The steps lying in any direction: square root of the sum of their squares, the root mean square of what comes out. */
  readonly usualMm: number;
  /** All of them lying one way: it cannot be more. */
  readonly mostMm: number;
  readonly steps: readonly Step[];
}

/** What a holding can hang on: a set-up by its number, the centres as 0, what stays as it was bought by its id. */
type Root = number | string;
const CENTRES: Root = 0;

interface Edge {
  readonly to: Root;
  readonly step: Step;
}

/** What a holding's axis is set by, and how well; null for raw stock, which tells of nothing. */
function setBy(s: SetUp, setUps: readonly SetUp[], lathe: Lathe): Edge | null {
  if (s.holding === null || s.locates.on === 'stock') return null;
  const { mm, source } = runOutOf(s.holding, lathe);
  const step = { words: `${s.number} ${s.title}: held ${s.hold} (${source})`, mm };
  if (s.locates.on === 'centres') return { to: CENTRES, step };
  const { id } = s.locates;
  const on = setUps.find((o) => o.cuts.includes(id));
  if (!on) return { to: id, step };
  return on.number < s.number ? { to: on.number, step } : null;
}

/** From a holding back to what it hangs on, the root last; of what no holding cuts, that alone. */
function chain(id: string, setUps: readonly SetUp[], lathe: Lathe): { readonly at: Root; readonly steps: readonly Step[] }[] {
  const from = cutIn(id, setUps);
  const back: { at: Root; steps: readonly Step[] }[] = [{ at: from?.number ?? id, steps: [] }];
  for (let s = from; s;) {
    const edge: Edge | null = setBy(s, setUps, lathe);
    if (!edge) break;
    back.push({ at: edge.to, steps: [...back.at(-1)!.steps, edge.step] });
    s = edge.to === CENTRES ? setUps.find(drillsCentres) : setUps.find((o) => o.number === edge.to);
  }
  return back;
}

const drillsCentres = (s: SetUp): boolean => s.acts.some((a) => a.key === KEYS.centres);

const cutIn = (id: string, setUps: readonly SetUp[]): SetUp | undefined => setUps.find((s) => s.holding !== null && s.cuts.includes(id));

/**
 * Run-out between two things from the holdings they are cut in. Each time the part is held again its axis shifts by half of that holding's own
 * run-out, in whatever direction.
 *
 * @param a id of a surface or feature
 * @param b the other one
 * @returns null where nothing ties the two holdings together, or one of them is cut on no lathe and nothing is held on it
 */
export function predictedRunOut(a: string, b: string, setUps: readonly SetUp[], lathe: Lathe): PredictedRunOut | null {
  const both = cutIn(a, setUps);
  if (both && both === cutIn(b, setUps))
    return {
      usualMm: ONE_HOLDING_MM,
      mostMm: ONE_HOLDING_MM,
      steps: [{ words: `${both.number} ${both.title}: both in one holding`, mm: ONE_HOLDING_MM }],
    };
  const [up, down] = [chain(a, setUps, lathe), chain(b, setUps, lathe)];
  const meet = up.find((u) => down.some((d) => d.at === u.at));
  if (!meet) return null;
  const steps = [...meet.steps, ...down.find((d) => d.at === meet.at)!.steps];
  return { usualMm: Math.hypot(...steps.map((s) => s.mm)), mostMm: steps.reduce((sum, s) => sum + s.mm, 0), steps };
}
