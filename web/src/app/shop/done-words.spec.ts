import type { AuditRow } from '@iron-patch/contract/wire';
import { routes } from '@iron-patch/contract/wire';
import { choiceKey } from '@iron-patch/core';
import { doneWords, jobOf } from './done-words';

const row = (method: string, path: string, status = 200): AuditRow => ({
  seq: 1,
  at: '2026-11-28T10:00:00Z',
  personId: 'maud',
  method,
  path,
  jobNumber: null,
  status,
  sent: null,
});
const ID = '6b2f1f6e-0000-4000-8000-000000000001';

it('says what was done in words, and its address where there are none', () => {
  expect(doneWords(row('POST', routes.session))).toBe('signed in');
  expect(doneWords(row('POST', routes.session, 401))).toBe('gave a wrong password');
  expect(doneWords(row('POST', routes.sessionPin, 401))).toBe('gave a wrong PIN');
  expect(doneWords(row('PUT', routes.givenPassword('tomas')))).toBe('gave somebody a password');
  expect(doneWords(row('DELETE', routes.photo(ID)))).toBe('took a photograph off');
  expect(doneWords(row('PUT', routes.choice(ID, 'fit%3Ax')))).toBe('chose a fit');
  expect(doneWords(row('PUT', routes.choice(ID, 'toString')))).toBe('chose: toString');
  expect(doneWords(row('POST', '/api/else'))).toBe('POST /api/else');
});

it('knows every kind of choice', () => {
  for (const key of Object.values(choiceKey)) {
    const one = typeof key === 'string' ? key : (key as (...parts: string[]) => string)('x', 'y');
    expect(doneWords(row('PUT', routes.choice(ID, one)))).not.toContain('chose: ');
  }
});

it('leads to the job', () => {
  expect([jobOf(row('PUT', routes.choice(ID, 'part'))), jobOf(row('PUT', routes.rates))]).toEqual([ID, null]);
});
