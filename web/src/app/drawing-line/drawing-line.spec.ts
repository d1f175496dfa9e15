import { choiceKey, newPart, type Part } from '@iron-patch/core';
import { testChoice, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../testing/fake-server';
import { openSheet, press, show, type, words } from '../../testing/open-sheet';
import { DrawingLine } from './drawing-line';

const PIN: Part = { ...newPart('headed-pin', 'Pin', 40, 120), features: [] };

async function atTheLine(part: Part | null = PIN) {
  const store = await openSheet(new FakeServer(testSheet({ choices: part ? [testChoice(choiceKey.part, part)] : [] })));
  const fixture = await show(DrawingLine);
  const enter = async (text: string): Promise<void> => {
    if (text) await type(fixture, 'input[name=drawn]', text);
    await press(fixture, 'Enter, next size');
  };
  return { store, fixture, enter, drawn: () => store.draftPart()! };
}

it('asks for size after size along the axis, takes each in any unit, and says what stands there', async () => {
  const { fixture, enter, drawn } = await atTheLine();
  expect(words(fixture)).toContain('Head: diameter now 56.000');
  await enter('55');
  expect(words(fixture)).toContain('Head: length now 8.400');
  await enter('0.375 in');
  expect(drawn().outside[0]).toMatchObject({ diameterMm: 55, lengthMm: 9.525 });
  await enter('');
  expect(words(fixture)).toContain('Body: length');
});

it('asks for what was touched, and goes on from there', async () => {
  const { store, fixture, enter, drawn } = await atTheLine();
  store.select({ spanId: 'body', asked: 'body.lengthMm' });
  await fixture.whenStable();
  expect(words(fixture)).toContain('Body: length now 111.600');
  await enter('120 over all');
  expect(drawn().outside.reduce((s, o) => s + o.lengthMm, 0)).toBeCloseTo(120, 9);
  expect(words(fixture)).toContain('That was the last. Name what is added, or save the drawing.');
});

it('adds what is named and asks for it; several that may be meant are offered', async () => {
  const { store, fixture, enter, drawn } = await atTheLine();
  store.select({ spanId: 'body' });
  await fixture.whenStable();
  await type(fixture, 'input[name=drawn]', 'keys');
  expect(words(fixture)).toContain('adds keyseat');
  await press(fixture, 'Enter, next size');
  expect(words(fixture)).toContain('Keyseat: begins from the left end');
  await enter('10');
  await enter('groove');
  expect(words(fixture)).toContain('Which one?');
  await press(fixture, 'O-ring groove');
  expect(drawn().features.map((f) => f.kind)).toEqual(['keyseat', 'oring-groove']);
});

it('says what will not do, what is usually a slip, and takes it back', async () => {
  const { store, fixture, enter, drawn } = await atTheLine();
  await enter('crank');
  expect(words(fixture)).toContain('Enter, next size');
  expect((fixture.nativeElement as HTMLElement).querySelector('[role=alert]')?.textContent).toBeTruthy();
  store.select({ spanId: 'body', asked: 'body.lengthMm' });
  await enter('200');
  await enter('ring');
  await enter('199');
  // It leaves the body: said at once, the question stays.
  expect(words(fixture)).toContain('this does not lie wholly on it');
  expect(drawn().features[0]).toMatchObject({ atMm: 199 });
  await press(fixture, 'Take it back');
  expect(drawn().features[0]).not.toMatchObject({ atMm: 199 });
  expect(words(fixture)).toContain('Ring groove: left wall from the left end');
  await enter('197');
  expect(words(fixture)).toContain('of land beside it');
});

it('every entry is a step of its own, however fast; the way back ends at what is saved', async () => {
  const { store, enter, drawn } = await atTheLine();
  await enter('55');
  await enter('9');
  await enter('10');
  store.stepDrawing('back');
  expect(drawn().outside.map((s) => s.lengthMm)).toEqual([9, 111.6]);
  store.stepDrawing('back');
  store.stepDrawing('back');
  expect(store.draftPart()).toBeNull();
  expect(store.stepDrawing('back')).toBe(false);
  store.stepDrawing('on');
  expect(drawn().outside[0]!.diameterMm).toBe(55);
});

it('without a drawing it says how one begins', async () => {
  const { fixture } = await atTheLine(null);
  expect(words(fixture)).toContain('Draw it from the readings, or start from a shape above');
});
