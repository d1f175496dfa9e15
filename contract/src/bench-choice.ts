import {
  keptTime,
  TRIAL_FEELS,
  WELD_WAYS,
  type BeadChoice,
  type PressChoice,
  type PushChoice,
  type TrialChoice,
  type WeldChoice,
} from '@iron-patch/core';
import { tuple, type AnyObjectSchema } from 'yup';
import { idOf, lengthOf, materialIdOf, MOST_PIECES, numberOf, oneOf, yes } from './fields';
import { shapeOf } from './shape';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const removed = yes('Taken off');

/** What is kept of an act at the bench, one choice a time: a trial with the mate, a push of the press, a bead of a seam. */
export const BENCH_VALUES: Readonly<Record<string, AnyObjectSchema>> = {
  weld: shapeOf<WeldChoice>({
    materialId: materialIdOf(),
    otherId: materialIdOf(),
    seam: oneOf('a seam', ['fillet', 'bevel'] as const),
    sizeMm: lengthOf('Leg, or depth', 1, 60),
    bevelDeg: numberOf('Bevel', 0, 70, '°').when('seam', ([seam], schema) =>
      seam === 'bevel' ? schema.min(10, 'Bevel: at least 10°.') : schema,
    ),
    diameterMm: lengthOf('Seam across', 5, 5000),
    thickMm: lengthOf('Thicker part', 0.5, 500),
    way: oneOf('how it is welded', WELD_WAYS),
    heatKjMm: numberOf('Heat', 0.2, 5, 'kJ/mm'),
    spare: yes('Something to spare near'),
  }),
  bead: shapeOf<BeadChoice>({
    itemId: idOf('Item'),
    kind: oneOf('a tack or a run', ['tack', 'bead'] as const),
    index: numberOf('Which', 0, 2000).integer('Which: a whole number.'),
    tempC: numberOf('Temperature before it', -60, 700, '°C').nullable(),
    laidAt: requiredText('When it was laid', 40).test('time', 'When it was laid is a time.', (v) => keptTime(v ?? '') !== null),
    removed,
  }),
  press: shapeOf<PressChoice>({
    placeId: idOf('Place'),
    supportsMm: tuple([lengthOf('First block'), lengthOf('Second block')])
      .strict()
      .required('Blocks: two places.')
      .test('apart', 'The second block stands beyond the first.', (v) => v[1] - v[0] > 1),
    diameterMm: lengthOf('Diameter', 1, 500),
    mostMm: lengthOf('Most that may stay', 0.001, 50),
  }),
  push: shapeOf<PushChoice>({
    itemId: idOf('Item'),
    pushedMm: lengthOf('Pushed down by', 0.001, 500),
    totalMm: lengthOf('It shows now', 0, 200),
    over: yes('High on the other side'),
    remark: textOf('Remark', TEXT_LIMITS.line),
    pushedAt: requiredText('When it was pushed', 40).test('time', 'When it was pushed is a time.', (v) => keptTime(v ?? '') !== null),
    removed,
  }),
  trial: shapeOf<TrialChoice>({
    itemId: idOf('Item'),
    piece: numberOf('Piece', 1, MOST_PIECES).integer('Piece: a whole number.'),
    segmentId: requiredText('What was tried', TEXT_LIMITS.name),
    placeId: idOf('Mate').nullable(),
    feel: oneOf('how it went', TRIAL_FEELS),
    wentInMm: lengthOf('How far it went in', 0.1, 3000)
      .nullable()
      .when('feel', ([feel], schema) => (feel === 'binds' ? schema.nonNullable('Say how far it went in.') : schema)),
    from: oneOf('the face it went in at', ['start', 'end'] as const),
    partTempC: numberOf('Temperature of the part', -60, 400, '°C').nullable(),
    remark: textOf('Remark', TEXT_LIMITS.line),
    triedAt: requiredText('When it was tried', 40).test('time', 'When it was tried is a time.', (v) => keptTime(v ?? '') !== null),
    removed,
  }),
};
