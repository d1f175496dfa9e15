import { drawnPin } from '@iron-patch/core/testing';
import { keepDrawing, keptDrawings } from './kept-drawing';

beforeEach(() => localStorage.clear());

it('a drawing comes back as it was left, its features with it, until it is forgotten', () => {
  const part = drawnPin();
  expect(part.features.length).toBeGreaterThan(0);
  keepDrawing('job', 'job', { part, from: 3 });
  keepDrawing('job', 'bush', { part, from: 1 });
  keepDrawing('job 2', 'bush', { part, from: 2 });
  expect(keptDrawings('job')).toEqual({ job: { part, from: 3 }, bush: { part, from: 1 } });
  expect(keptDrawings('another')).toEqual({});
  keepDrawing('job', 'job', null);
  expect(keptDrawings('job')).toEqual({ bush: { part, from: 1 } });
});

it('one that an earlier version kept is read as it is drawn today', () => {
  const segment = {
    id: 'b',
    kind: 'cylinder',
    name: 'Body',
    lengthMm: 60,
    diameterMm: 40,
    chamferLeftMm: 1,
    chamferRightMm: 0,
    fitsFeatureIds: ['p'],
  };
  const old = { name: 'Pin', materialId: 'steel-c45', segments: [segment], bore: null, crossHoles: [] };
  localStorage.setItem('iron-patch.draft.job', JSON.stringify({ part: old, from: 1 }));
  expect(keptDrawings('job')['job']!.part).toMatchObject({
    outside: [{ id: 'b', fitsPlaceIds: ['p'] }],
    features: [{ kind: 'chamfer', end: 'left' }],
  });
});
