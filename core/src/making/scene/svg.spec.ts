import type { Scene } from './scene';
import { sceneSvg } from './svg';

const scene: Scene = {
  ...{ title: 'Pin <1> & "co"', fromX: -5, toX: 45, fromY: -20, toY: 20 },
  primitives: [
    {
      kind: 'path',
      points: [
        [0, 0],
        [40, 10],
      ],
      closed: false,
      style: 'edge',
    },
    {
      kind: 'area',
      points: [
        [0, 0],
        [40, 0],
        [40, 10],
      ],
      fill: 'section',
    },
    { kind: 'circle', x: 20, y: 5, r: 3, style: 'thin' },
    { kind: 'text', x: 1, y: 15, text: 'Ø 40 <h7>', anchor: 'middle', heightMm: 3.5 },
  ],
};

it('is well-formed whatever words are on it', () => {
  const svg = sceneSvg(scene);
  expect(svg).not.toMatch(/Pin <1>|& "|<h7>/);
  expect(svg).toContain('Pin &#60;1&#62; &#38; &#34;co&#34;');
});

it('is as large as it is, in millimetres, and up is up', () => {
  const svg = sceneSvg(scene);
  expect(svg).toContain('width="50.000mm" height="40.000mm" viewBox="-5.000 -20.000 50.000 40.000"');
  expect(svg).toContain('M0.000 0.000 L40.000 -10.000"');
  expect(svg).toContain('cx="20.000" cy="-5.000"');
  expect(svg).toContain('y="-15.000"');
});

it('an area is closed, a path only where it says so, and words are written as asked', () => {
  const svg = sceneSvg(scene, (t) => t.toUpperCase());
  expect(svg.match(/ Z"/g)).toHaveLength(1);
  expect(svg).toContain('Ø 40 &#60;H7&#62;');
});
