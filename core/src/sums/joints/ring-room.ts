import { bad, good } from '../../terms/outcome';
import { length } from '../fields';
import { given, result } from '../given';
import { line, rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** Where a retaining ring may stand in its groove, and the end play of what it holds. */
export const ringRoom: Sum = {
  id: 'ring-room',
  title: 'Ring in its groove: free room',
  about: 'retaining ring groove free room end play depth over ring circlip axial stack near wall',
  group: 'Keys, rings, seals',
  fields: () => [
    length('wall', 'Groove’s near wall, from the face', 8.1, 2000, 0),
    length('width', 'Groove width', 3.2, 50, 0.1),
    length('ring', 'Ring thickness', 2.5, 50, 0.1),
    length('stack', 'What it holds: length', 25, 2000, 0),
    length('stop', 'Shoulder or stop, from the face', 36.5, 3000, 0),
  ],
  work: (v) => {
    const wall = given('room.wall', 'near wall', v.number('wall'));
    const width = given('room.width', 'groove width', v.number('width'));
    const ring = given('room.ring', 'ring', v.number('ring'));
    if (ring.value > width.value) return bad('thick', 'The ring is thicker than the groove is wide: it does not go in.', 'ring');
    const stack = given('room.stack', 'what it holds', v.number('stack'));
    const stop = given('room.stop', 'stop', v.number('stop'));
    const room = result('room.free', 'free room of the ring', width.value - ring.value, 'groove less ring', [width, ring]);
    const near = result('room.near-most', 'near face of the ring, at most', wall.value + room.value, 'near wall and the free room', [
      wall,
      room,
    ]);
    const inner = result('room.inner-least', 'far face of the ring, at least', wall.value + ring.value, 'near wall and the ring', [
      wall,
      ring,
    ]);
    const end = stop.value - stack.value;
    // Pushed outward the ring lies against the near wall, and what it holds follows until it meets the ring.
    const play = result(
      'room.play',
      'end play of what it holds',
      end - inner.value,
      'stop less length less the ring’s far face, ring against the near wall',
      [stop, stack, inner],
    );
    return good({
      figures: [
        room,
        result('room.near-least', 'near face of the ring, at least', wall.value, 'it lies against the near wall', [wall]),
        near,
        inner,
        play,
      ],
      words: [
        ...(play.value < 0
          ? ['What it holds is too long: the ring does not reach its groove. Face it, or move the groove out.']
          : [`A depth taken over the fitted ring may read anywhere in the free room: it is checked against the wall measured directly.`]),
        'The load lies on the near wall: it must be square, and the metal outside it thick enough (see Ring groove).',
      ],
      picture: [
        line(
          'part',
          [0, 0],
          [wall.value, 0],
          [wall.value, -4],
          [wall.value + width.value, -4],
          [wall.value + width.value, 0],
          [stop.value, 0],
          [stop.value, 6],
        ),
        rectangle(wall.value, -3.6, ring.value, 7, 'mate'),
        rectangle(Math.max(end, inner.value), 0.4, stack.value, 4, 'hidden'),
        size('room', [wall.value + ring.value, -6], [wall.value + width.value, -6]),
      ],
    });
  },
};
