import { choiceKey } from './choices';
import { routeIdsOf, routesOf } from './routes';
import { testChoice, testSheet } from './testing';

const found = (id: string, findingId: string, removed = false) =>
  testChoice(choiceKey.finding(id), { findingId, componentId: 'pin', placeId: null, atMm: null, clockDeg: null, words: '', removed });

it('what was found brings its routes, each once and in the order of what was found first', () => {
  const sheet = testSheet({ choices: [found('a', 'sheared'), found('b', 'key-stepped')] });
  const ids = routeIdsOf(sheet);
  expect(ids.slice(0, 2)).toEqual(['new-shaft-better', 'cure-lock']);
  expect(new Set(ids).size).toBe(ids.length);
  expect(ids).toContain('stepped-key');
  expect(routesOf(sheet)).toHaveLength(ids.length);
  expect(new Set(routesOf(sheet)).size).toBe(ids.length);
});

it('the same finding twice brings them once, one taken back brings none', () => {
  expect(routeIdsOf(testSheet({ choices: [found('a', 'sheared'), found('b', 'sheared')] }))).toHaveLength(2);
  expect(routeIdsOf(testSheet({ choices: [found('a', 'sheared', true)] }))).toEqual([]);
  expect(routeIdsOf(testSheet())).toEqual([]);
});
