import { aLength } from '../../../terms/quantity';
import type { FeatureBase, FeatureKind } from '../feature-kind';
import type { ASide, Changes } from './before-treatment';
import { needsCylinder } from './on-surface';

interface Process {
  readonly words: string;
  readonly changes: Changes;
  /** Behind the surface's name while it is not done yet: `body, before plating`. */
  readonly before: string;
  /** As an act. */
  readonly act: string;
  /** What a layer, or the metal left on, usually is on one side: anything else is asked about, mm. Values of our own. */
  readonly leastMm: number;
  readonly mostMm: number;
  /** It can be cut back by this shop. */
  readonly here: boolean;
  readonly minds: string;
}

/** In the order in which people choose. */
export const PROCESSES = {
  plate: {
    words: 'plated, stays as it comes',
    changes: 'stays',
    before: 'before plating',
    act: 'Have it plated to size',
    leastMm: 0.002,
    mostMm: 0.3,
    here: false,
    minds: 'Hard steel is baked after plating, or it cracks under load.',
  },
  'plate-ground': {
    words: 'plated thicker and ground to size',
    changes: 'cut-back',
    before: 'before plating',
    act: 'Have it plated thicker and ground to size',
    leastMm: 0.02,
    mostMm: 0.5,
    here: false,
    minds: 'Hard steel is baked after plating, or it cracks under load. Edges are rounded first: plating builds up on them.',
  },
  'build-up': {
    words: 'built up and cut back to size',
    changes: 'cut-back',
    before: 'before it is built up',
    act: 'Have it built up by weld or spray and cut back to size',
    leastMm: 0.3,
    mostMm: 10,
    here: true,
    minds: 'Keep threads and finished places covered; a shaft bends with the heat: read the run-out before and after.',
  },
  nitride: {
    words: 'nitrided, grows a little',
    changes: 'stays',
    before: 'before nitriding',
    act: 'Have it nitrided',
    leastMm: 0.001,
    mostMm: 0.05,
    here: false,
    minds: 'Stress relieve it before it is finished; ask who nitrides it what it grows.',
  },
  'harden-ground': {
    words: 'hardened, then ground to size',
    changes: 'left-on',
    before: 'before hardening',
    act: 'Have it hardened, then ground to size',
    leastMm: 0.05,
    mostMm: 1,
    here: true,
    minds: 'It grows and warps in the fire: what is left on has to cover that too. Centres stay clean for the grinder.',
  },
  ground: {
    words: 'ground to size',
    changes: 'left-on',
    before: 'before grinding',
    act: 'Have it ground to size',
    leastMm: 0.02,
    mostMm: 1,
    here: true,
    minds: 'Centres stay in it for the grinder.',
  },
} as const satisfies Record<string, Process>;

/** A surface that gets its size by a treatment: it is cut to another one first. */
export interface Treatment extends FeatureBase {
  readonly kind: 'treatment';
  readonly process: keyof typeof PROCESSES;
  readonly where: 'elsewhere' | 'here';
  /** The layer, or what is left on, on one side, mm. */
  readonly aSideMm: number;
  /** By how much that may be off, mm. */
  readonly plusMinusMm: number;
  /** `hard chrome`, `nickel`, `E7018`. */
  readonly by: string;
  /** What is covered: threads, centres, the other seats. */
  readonly masked: string;
}

/** What the book has of a treatment's process. */
export const processOf = ({ process }: Pick<Treatment, 'process'>): Process => PROCESSES[process];

/** The layer, or what is left on, at its thinnest and thickest. */
export const aSide = ({ aSideMm, plusMinusMm }: Pick<Treatment, 'aSideMm' | 'plusMinusMm'>): ASide => ({
  fromMm: aSideMm - plusMinusMm,
  toMm: aSideMm + plusMinusMm,
});

/** Whether this shop cuts it to size afterwards. */
export const isCutBackHere = (f: Pick<Treatment, 'process' | 'where'>): boolean => f.where === 'here' && processOf(f).here;

export const treatment: FeatureKind<Treatment> = {
  kind: 'treatment',
  name: 'Treatment',
  sides: ['outside', 'inside'],
  fields: {
    process: {
      kind: 'choice',
      label: 'It is',
      options: (Object.keys(PROCESSES) as (keyof typeof PROCESSES)[]).map((k) => [k, PROCESSES[k].words] as const),
    },
    where: {
      kind: 'choice',
      label: 'Cut back',
      options: [
        ['elsewhere', 'by another shop'],
        ['here', 'here'],
      ],
      when: ['process', 'build-up', 'harden-ground', 'ground'],
    },
    aSideMm: { kind: 'length', label: 'Layer, or left on, a side', from: 0.001, to: 10 },
    plusMinusMm: { kind: 'length', label: 'Give or take', from: 0, to: 5 },
    by: { kind: 'text', label: 'With', most: 60, optional: true },
    masked: { kind: 'text', label: 'Kept free of it', most: 120, optional: true },
  },
  asks: ['process', 'aSideMm', 'plusMinusMm'],
  start: () => ({ process: 'plate', where: 'elsewhere', aSideMm: 0.02, plusMinusMm: 0.002, by: '', masked: '' }),
  check: (f, host) => {
    if (f.plusMinusMm > f.aSideMm) return [{ field: 'plusMinusMm', message: 'It cannot be off by more than there is.' }];
    const before = beforeMm(f, host.surface.side, host.surface.diameterMm);
    if (before <= 0) return [{ field: 'aSideMm', message: 'Nothing is left under such a layer.' }];
    const { fromMm, toMm } = host.surface;
    const wall = host.beyondAt((fromMm + toMm) / 2);
    const through = host.surface.side === 'outside' ? before / 2 <= wall : before / 2 >= wall;
    return through ? [{ field: 'aSideMm', message: `Cut for it, to ${aLength(before)}, it leaves no wall.` }] : needsCylinder(host);
  },
  dimensions: (f, host) => [
    {
      name: 'before',
      what: host.surface.side,
      label: processOf(f).before,
      value: beforeMm(f, host.surface.side, host.surface.diameterMm),
      seat: true,
      before: true,
    },
  ],
  cut: () => ({ shape: 'other', removedMm3: () => 0, marks: [] }),
  raiser: () => null,
  mirrored: (f) => f,
  operations: (f) => {
    const { act } = processOf(f);
    const more = [f.by, f.masked && `kept free of it: ${f.masked}`].filter(Boolean).join('; ');
    return [{ kind: 'treat', words: `${act}${more ? ` (${more})` : ''}`, makes: ['before'] }];
  },
};

/** The middle of what a diameter is before it, mm. */
function beforeMm(f: Treatment, side: 'outside' | 'inside', finishedMm: number): number {
  const out = (processOf(f).changes === 'left-on' ? 1 : -1) * (side === 'outside' ? 1 : -1);
  return finishedMm + 2 * out * f.aSideMm;
}
