import { badDepth, edgesOf, leavesFace, middleOf, share } from './on-face';

const block = { lengthMm: 96, widthMm: 58, heightMm: 34 };

it('places are counted from the left and front edges, on an upright face from the lower one', () => {
  expect(edgesOf('top')).toEqual(['left', 'front']);
  expect(edgesOf('front')).toEqual(['left', 'lower']);
  expect(edgesOf('right')).toEqual(['front', 'lower']);
});

it('what does not lie wholly on its face is told with the face’s own size', () => {
  expect(leavesFace(block, 'top', 'u', 0, 96, 'atMm')).toEqual([]);
  expect(leavesFace(block, 'top', 'u', 90, 96.1, 'atMm')[0]).toMatchObject({ field: 'atMm', message: expect.stringContaining('96.00') });
  expect(leavesFace(block, 'right', 'v', -0.1, 10, 'upMm')[0]!.message).toContain('34.00');
});

it('half a millimetre of metal stays behind what does not go through', () => {
  expect(badDepth(block, 'top', 33.5, 'depthMm')).toEqual([]);
  expect(badDepth(block, 'top', 33.6, 'depthMm')).toHaveLength(1);
  expect(badDepth(block, 'front', 57, 'depthMm')).toEqual([]);
  expect(badDepth(block, 'top', 0, 'depthMm')[0]!.message).toBe('Say how deep.');
});

it('starts in round tenths', () => {
  expect(middleOf({ ...block, lengthMm: 96.33 }, 'top')).toEqual([48.2, 29]);
  expect([share(96.33, 0.3), share(0.1, 0.1)]).toEqual([28.9, 0.1]);
});
