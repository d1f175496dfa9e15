import type { ComponentRecord } from '@iron-patch/core';
import { isUnder, parentsFor } from './parents';

const part = (id: string, parentId: string | null): ComponentRecord => ({ id, parentId }) as ComponentRecord;
/** A gearbox with a shaft that has a bearing and a key, and a cover. */
const all = [part('box', null), part('shaft', 'box'), part('bearing', 'shaft'), part('key', 'shaft'), part('cover', null)];
const names = (id: string): string[] =>
  parentsFor(
    all,
    all.find((c) => c.id === id)!,
  ).map((c) => c.id);

it('knows what came out of what, however deep', () => {
  expect(isUnder(all, 'bearing', 'box')).toBe(true);
  expect(isUnder(all, 'box', 'bearing')).toBe(false);
  expect(isUnder(all, 'box', 'box')).toBe(true);
});

it('offers neither a component itself, nor what is in it, nor where it is', () => {
  expect(names('shaft')).toEqual(['cover']);
  expect(names('bearing')).toEqual(['box', 'key', 'cover']);
  expect(names('box')).toEqual(['cover']);
  expect(names('cover')).toEqual(['box', 'shaft', 'bearing', 'key']);
});
