import { type Bore, type Part } from './part';
import { surface } from './surface';
import type { End } from './feature-kind';
import type { Chamfer } from './features';

export type PartKind = 'plain-pin' | 'headed-pin' | 'stepped-pin' | 'plain-bush' | 'flanged-bush' | 'block';

export const PART_KINDS: Readonly<Record<PartKind, string>> = {
  'plain-pin': 'Plain pin',
  'headed-pin': 'Headed pin',
  'stepped-pin': 'Stepped pin',
  'plain-bush': 'Plain bush',
  'flanged-bush': 'Flanged bush',
  block: 'Block',
};

/** A 45° chamfer at an end of a surface. */
export const edge = (on: string, end: End, lengthMm: number): Chamfer => ({
  id: `${on}-${end}`,
  kind: 'chamfer',
  on,
  name: 'Chamfer',
  end,
  lengthMm,
  angleDeg: 45,
});

const throughBore = (diameterMm: number): Bore => ({
  id: 'bore',
  from: 'near',
  through: true,
  surfaces: [surface('hole', 'cylinder', 'Bore', 0, diameterMm)],
});

/** Bush bores are this share of the outside. */
const BORE_SHARE = 0.75;

/**
 * A first drawing of that kind around a body, to be edited: heads are 1.4 times the body, bush walls an eighth of it.
 *
 * @param bodyMm diameter of the fitting body, or width and height of a block, mm
 * @param lengthMm overall length, mm
 */
export function newPart(kind: PartKind, name: string, bodyMm: number, lengthMm: number): Part {
  const c = Math.min(1, bodyMm / 10);
  const base = { name, materialId: 'steel-c45', bores: [], limits: {}, block: null };
  const headMm = Math.max(lengthMm * 0.07, 3);
  const head = surface('head', 'head', 'Head', headMm, bodyMm * 1.4);
  const body = (long: number) => surface('body', 'cylinder', 'Body', long, bodyMm);
  const headed = { outside: [head, body(lengthMm - headMm)], features: [edge('head', 'left', c), edge('body', 'right', c)] };
  const plain = { outside: [body(lengthMm)], features: [edge('body', 'left', c), edge('body', 'right', c)] };
  const bush = { ...base, materialId: 'bronze-tin', bores: [throughBore(bodyMm * BORE_SHARE)] };
  switch (kind) {
    case 'plain-pin':
      return { ...base, ...plain };
    case 'headed-pin':
      return { ...base, ...headed };
    case 'stepped-pin':
      return {
        ...base,
        outside: [body(lengthMm * 0.7), surface('step', 'cylinder', 'Step', lengthMm * 0.3, bodyMm * 0.75)],
        features: [edge('body', 'left', c), edge('step', 'right', c)],
      };
    case 'plain-bush':
      return { ...bush, ...plain };
    case 'flanged-bush':
      return { ...bush, ...headed };
    case 'block':
      return { ...base, outside: [], features: [], block: { lengthMm, widthMm: bodyMm, heightMm: bodyMm, cuts: [] } };
  }
}
