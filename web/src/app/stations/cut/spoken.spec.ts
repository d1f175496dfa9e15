import { TestBed } from '@angular/core/testing';
import { press, show, words } from '../../../testing/open-sheet';
import { Spoken } from './spoken';

const said: string[] = [];
let stopped = 0;
beforeEach(() => {
  TestBed.resetTestingModule();
  localStorage.clear();
  said.length = 0;
  stopped = 0;
  Object.assign(globalThis, {
    SpeechSynthesisUtterance: class {
      lang = '';
      constructor(readonly text: string) {}
    },
    speechSynthesis: { speak: (u: { text: string }) => said.push(u.text), cancel: () => stopped++ },
  });
});
afterEach(() => {
  delete (globalThis as { speechSynthesis?: unknown }).speechSynthesis;
});

it('is silent until somebody wants it, then says each new number, and again when asked', async () => {
  const fixture = await show(Spoken, { text: 'Dial 0.1' });
  expect(said).toEqual([]);
  await press(fixture, 'Say the next number aloud');
  fixture.componentRef.setInput('text', 'Dial 0.2');
  await fixture.whenStable();
  await press(fixture, 'Say it again');
  expect(said).toEqual(['Dial 0.1', 'Dial 0.2', 'Dial 0.2']);
  await press(fixture, 'Say no more aloud');
  fixture.componentRef.setInput('text', 'Dial 0.3');
  await fixture.whenStable();
  expect(said).toHaveLength(3);
  expect(stopped).toBeGreaterThan(0);
});

it('stays on in this browser, and is not there where the browser has no voice', async () => {
  await press(await show(Spoken, { text: 'Dial 0.1' }), 'Say the next number aloud');
  TestBed.resetTestingModule();
  await show(Spoken, { text: 'Dial 0.4' });
  expect(said.at(-1)).toBe('Dial 0.4');
  delete (globalThis as { speechSynthesis?: unknown }).speechSynthesis;
  TestBed.resetTestingModule();
  expect(words(await show(Spoken, { text: 'Dial 0.5' }))).toBe('');
});
