import type { Segment, TurnedPart } from './turned-part';

export type PartKind = 'plain-pin' | 'headed-pin' | 'stepped-pin' | 'plain-bush' | 'flanged-bush';

export const PART_KINDS: Readonly<Record<PartKind, string>> = {
  'plain-pin': 'Plain pin',
  'headed-pin': 'Headed pin',
  'stepped-pin': 'Stepped pin',
  'plain-bush': 'Plain bush',
  'flanged-bush': 'Flanged bush',
};

const segment = (id: string, kind: Segment['kind'], name: string, lengthMm: number, diameterMm: number): Segment => ({
  id,
  kind,
  name,
  lengthMm,
  diameterMm,
  chamferLeftMm: 0,
  chamferRightMm: 0,
  fitsPlaceIds: [],
});

/**
 * A first drawing of that kind around a body, to be edited: heads are 1.4 times the body, bush walls an eighth of it.
 *
 * @param bodyMm diameter of the fitting body, mm
 * @param lengthMm overall length, mm
 */
export function newPart(kind: PartKind, name: string, bodyMm: number, lengthMm: number): TurnedPart {
  const chamfer = Math.min(1, bodyMm / 10);
  const head = { ...segment('head', 'head', 'Head', Math.max(lengthMm * 0.07, 3), bodyMm * 1.4), chamferLeftMm: chamfer };
  const body = { ...segment('body', 'cylinder', 'Body', lengthMm, bodyMm), chamferRightMm: chamfer };
  const rest = lengthMm - head.lengthMm;
  const base = { name, materialId: 'steel-c45', bore: null, crossHoles: [] };
  switch (kind) {
    case 'plain-pin':
      return { ...base, segments: [{ ...body, chamferLeftMm: chamfer }] };
    case 'headed-pin':
      return { ...base, segments: [head, { ...body, lengthMm: rest }] };
    case 'stepped-pin':
      return {
        ...base,
        segments: [
          { ...body, lengthMm: lengthMm * 0.7, chamferLeftMm: chamfer, chamferRightMm: 0 },
          { ...segment('step', 'cylinder', 'Step', lengthMm * 0.3, bodyMm * 0.75), chamferRightMm: chamfer },
        ],
      };
    case 'plain-bush':
      return {
        ...base,
        materialId: 'bronze-tin',
        segments: [{ ...body, chamferLeftMm: chamfer }],
        bore: { diameterMm: bodyMm * 0.75, depthMm: null },
      };
    case 'flanged-bush':
      return {
        ...base,
        materialId: 'bronze-tin',
        segments: [head, { ...body, lengthMm: rest }],
        bore: { diameterMm: bodyMm * 0.75, depthMm: null },
      };
  }
}
