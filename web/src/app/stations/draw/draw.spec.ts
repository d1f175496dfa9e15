import { choiceKey, drawnId, newPart } from '@iron-patch/core';
import { drawnPin, testChoice, testPlace, testReading, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, press, show, type, words } from '../../../testing/open-sheet';
import { Draw } from './draw';

// The whole of Draw is compiled for the first of these, beside whatever else runs.
jest.setTimeout(20_000);

it('mirrors the drawing in one press, says what has a hand, and forgets it as any change', async () => {
  const thread = {
    id: 't',
    kind: 'thread',
    on: 'body',
    name: 'Thread',
    end: 'right',
    thread: 'M40 x 1.5',
    threadClass: '',
    lengthMm: 20,
    hand: 'right',
    starts: 1,
  };
  const part = { ...drawnPin(), features: [thread] };
  const sheet = testSheet({ job: { ...testSheet().job, changes: ['other-hand'] }, choices: [testChoice(choiceKey.part, part)] });
  const store = await openSheet(new FakeServer(sheet));
  const fixture = await show(Draw);
  expect(words(fixture)).toContain('Asked for at Receive: the other hand.');
  await press(fixture, 'Mirror end for end');
  expect(store.draftPart()).toMatchObject({ outside: [{ id: 'body' }, { id: 'head' }], features: [{ end: 'left', hand: 'right' }] });
  expect(words(fixture)).toContain('The hand of thread stays');
  await press(fixture, 'Forget the changes');
  expect(store.draftPart()).toBeNull();
});

it('puts a cut to the other end of its stretch, or onto another one', async () => {
  const relief = { id: 'g', kind: 'relief', on: 'body', name: 'Relief', atMm: 10, widthMm: 4, diameterMm: 38 };
  const store = await openSheet(
    new FakeServer(testSheet({ choices: [testChoice(choiceKey.part, { ...drawnPin(), features: [relief] })] })),
  );
  const fixture = await show(Draw);
  const own = (): { readonly on: string; readonly atMm: number } => store.draftPart()!.features[0] as never;
  const { lengthMm } = drawnPin().outside.find((s) => s.id === 'body')!;
  await press(fixture, 'To the other end');
  expect(own().atMm).toBeCloseTo(lengthMm - 14, 6);
  const field = (fixture.nativeElement as HTMLElement).querySelector<HTMLSelectElement>('select[name="on"]')!;
  expect([...field.options].map((o) => o.textContent.trim())).toEqual(['Head', 'Body']);
  field.selectedIndex = 0;
  field.dispatchEvent(new Event('change'));
  await fixture.whenStable();
  expect(own().on).toBe('head');
});

it('is walked along the axis by arrows, and what is picked is marked', async () => {
  const store = await openSheet(new FakeServer(testSheet({ choices: [testChoice(choiceKey.part, drawnPin())] })));
  const fixture = await show(Draw);
  const arrow = async (key: string, target: EventTarget = document.body): Promise<void> => {
    target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    await fixture.whenStable();
  };
  await arrow('ArrowRight');
  expect(store.selection().spanId).toBe('head');
  const legend = (): string | undefined =>
    (fixture.nativeElement as HTMLElement).querySelector('fieldset[aria-current] legend')?.textContent.trim();
  expect(legend()).toBe('Head');
  await arrow('ArrowRight');
  await arrow('ArrowRight');
  expect([store.selection().spanId, legend()]).toEqual(['body', 'Body']);
  // In a field the arrows are the field's own.
  await arrow('ArrowLeft', (fixture.nativeElement as HTMLElement).querySelector('input')!);
  expect(store.selection().spanId).toBe('body');
  await arrow('ArrowLeft');
  expect(store.selection().spanId).toBe('head');
});

it('takes a taper as it is said, and says it every way', async () => {
  const pin = drawnPin();
  const cone = {
    ...pin,
    features: [],
    outside: [pin.outside[0], { ...pin.outside[1], kind: 'taper', farDiameterMm: 40, fitsPlaceIds: [] }],
  };
  const store = await openSheet(new FakeServer(testSheet({ choices: [testChoice(choiceKey.part, cone)] })));
  const fixture = await show(Draw);
  await type(fixture, 'input[name=taper]', '1:20');
  const { lengthMm, diameterMm, farDiameterMm } = store.draftPart()!.outside[1]!;
  expect(diameterMm - farDiameterMm!).toBeCloseTo(lengthMm / 20, 6);
  expect(words(fixture)).toContain('1:20, 0.600 in per foot, 2.86° included');
  await type(fixture, 'input[name=taper]', 'steeper');
  expect(words(fixture)).toContain('Write the taper as 1:20');
  expect(store.draftPart()!.outside[1]!.farDiameterMm).toBe(farDiameterMm);
});

it.each([
  ['of about its size', '40', ['barrel']],
  ['of quite another', '90', []],
])('a body %s goes into the hole that stays, or does not', async (_, typed, fits) => {
  const store = await openSheet(new FakeServer(testSheet()));
  const fixture = await show(Draw);
  await press(fixture, 'Plain pin');
  await type(fixture, '.sizes ip-length:nth-of-type(2) input', typed);
  await press(fixture, 'Draw it');
  expect(store.draftPart()!.outside.find((x) => x.id === 'body')!.fitsPlaceIds).toEqual(fits);
});

it('begins a block as long as the old one was read, and puts a hole again from the opposite edges', async () => {
  const length = testPlace('long', { name: 'Length', kind: 'length', stationsMm: [0], clocksDeg: [0] });
  const read = testReading({ placeId: 'long', quantity: 'length', valueMm: 96, instrumentId: 'mic' });
  const sheet = testSheet({ places: [length], readings: [read], choices: [] });
  const store = await openSheet(new FakeServer(sheet));
  const fixture = await show(Draw);
  await press(fixture, 'Block');
  await press(fixture, 'Draw it');
  const block = () => store.draftPart()!.block!;
  expect(block().lengthMm).toBe(96);
  await press(fixture, 'Add a hole');
  // In the middle both ways it would be the same hole.
  expect(words(fixture)).not.toContain('Again from');
  store.draft({
    ...store.draftPart()!,
    block: { ...block(), widthMm: 60, cuts: [{ ...block().cuts[0]!, atMm: 13, upMm: 11, diameterMm: 8.5 }] },
  } as never);
  await fixture.whenStable();
  await press(fixture, 'Again from the right edge');
  await press(fixture, 'Again from the back edge');
  expect(block().cuts.map((c) => [c.name, 'atMm' in c && c.atMm, 'upMm' in c && c.upMm])).toEqual([
    ['Hole', 13, 11],
    ['Hole 2', 83, 11],
    ['Hole 3', 13, 49],
  ]);
  expect(new Set(block().cuts.map((c) => c.id)).size).toBe(3);
});

it('leaves a row where it is while its limits are typed, and its field with it', async () => {
  // What a bearing sat on has no limits until somebody gives it some.
  const [ran] = testSheet().places.filter((p) => p.id === 'body');
  const pin = newPart('headed-pin', 'Hinge pin', 40, 120);
  const drawn = { ...pin, outside: pin.outside.map((s) => (s.id === 'body' ? { ...s, id: drawnId('body') } : s)) };
  const choices = [testChoice(choiceKey.part, drawn)];
  await openSheet(new FakeServer(testSheet({ choices, places: [{ ...ran!, suspicions: ['bearing'] }] })));
  const fixture = await show(Draw);
  const fields = (): HTMLInputElement[] => [
    ...(fixture.nativeElement as HTMLElement).querySelectorAll<HTMLInputElement>('ip-limits-table input[name=limits]'),
  ];
  const labels = (): (string | undefined)[] => fields().map((f) => f.labels![0]!.textContent.trim());
  const before = labels();
  expect(before.slice(0, 2)).toEqual(['Limits of diameter of body', 'Limits of diameter of head']);
  const [first] = fields();
  first!.focus();
  for (const text of ['k', 'k6']) {
    first!.value = text;
    first!.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  }
  expect(labels()).toEqual(before);
  expect(document.activeElement).toBe(first);
  // Emptied again it has none, and stays as well.
  first!.value = '';
  first!.dispatchEvent(new Event('input'));
  await fixture.whenStable();
  expect(document.activeElement).toBe(first);
});
