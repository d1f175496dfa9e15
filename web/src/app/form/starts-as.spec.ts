import { signal } from '@angular/core';
import { startsAs } from './starts-as';

it('keeps what is typed while news leave the stored value as it is, and follows it once that becomes another', () => {
  const record = signal<{ readonly trued: number | null }>({ trued: 6.7 });
  const field = startsAs(() => record().trued);
  expect(field()).toBe(6.7);
  field.set(7.94);
  record.set({ trued: 6.7 });
  expect(field()).toBe(7.94);
  record.set({ trued: 7.9 });
  expect(field()).toBe(7.9);
  record.set({ trued: null });
  expect(field()).toBeNull();
});

it('tells a list by what is in it', () => {
  const record = signal({ at: [2, 28] });
  const field = startsAs(() => record().at);
  field.set([3]);
  record.set({ at: [2, 28] });
  expect(field()).toEqual([3]);
});
