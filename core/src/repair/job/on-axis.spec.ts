import { axisStartMm } from './on-axis';
import { placeFindings } from './place-finding';
import { testSheet, testShop } from './testing';

it('a place of a component that begins 36 mm along lies 36 mm further on', () => {
  const [body, , barrel] = placeFindings(testSheet(), [], testShop);
  expect(axisStartMm(body!)).toBe(0);
  expect(axisStartMm(barrel!)).toBe(36);
  expect(axisStartMm({ component: { ...barrel!.component, axisOffsetMm: -12.5 }, place: { ...barrel!.place, startMm: 4 } })).toBe(-8.5);
});
