import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { choiceKey, NO_DETAIL, type JobSheet } from '@iron-patch/core';
import { drawnPin, testChoice, testPlace, testReading, testSheet } from '@iron-patch/core/testing';
import { FakeServer, problem } from '../../testing/fake-server';
import { breathe, openSheet, press, show, type, withServerIds, words } from '../../testing/open-sheet';
import type { SheetStore } from '../sheet-data';
import { Diagnosis } from './decide/diagnosis';
import { Measure } from './measure/measure';
import { Photos } from './receive/photos';
import { PlacePicker } from '../picture';
import { LoosePieces } from './strip/loose-pieces';
import { NoReturn } from './strip/no-return';
import { Strip } from './strip/strip';
import { ToOrder } from './strip/to-order';

let server: FakeServer;
let store: InstanceType<typeof SheetStore>;
const open = async (more: Parameters<typeof testSheet>[0] = {}, as: (s: JobSheet) => JobSheet = (s) => s): Promise<void> => {
  server = new FakeServer(as(testSheet(more)));
  store = await openSheet(server);
};
const act = { componentId: 'barrel-part', kind: 'saw', where: 'Middle', state: 'planned', override: '', removed: false };
const body = (i = 0) => server.changes()[i]!.body as { value: Record<string, unknown>; reason: string };

describe('the point of no return', () => {
  it('names what would be lost, and goes ahead only with a reason', async () => {
    await open({ choices: [testChoice('act:1', act)] });
    const fixture = await show(NoReturn);
    expect(words(fixture)).toContain('Saw through: Ramp barrel Middle Not yet: record these first');
    expect(words(fixture)).toContain('A photograph of it as it was');
    const done = [...fixture.nativeElement.querySelectorAll('button.next')] as HTMLButtonElement[];
    expect(done[0]!.disabled).toBe(true);
    await type(fixture, 'input[name=override-1]', 'Scrap.');
    await press(fixture, 'Go ahead without');
    expect(body().value).toEqual({ ...act, override: 'Scrap.' });
    await breathe();
    await fixture.whenStable();
    expect(words(fixture)).toContain('Goes ahead because: Scrap.');
    await press(fixture, 'It is done');
    expect(body(1).value).toMatchObject({ state: 'done', override: 'Scrap.' });
  });

  it('is told at Strip before anything else, and leads to the missing place', async () => {
    const readings = testSheet().readings.slice(0, -1);
    await open({ choices: [testChoice('act:1', act)], readings });
    const fixture = await show(Strip);
    expect(words(fixture)).toContain('The point of no return: saw through, ramp barrel is planned');
    await press(fixture, 'See what is missing');
    const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
    await press(fixture, 'Measure it: Barrel bore');
    expect(navigate).toHaveBeenCalledWith(['/jobs', 'job', 'measure']);
    expect(store.selection().spanId).toBe('barrel');
  });
});

it('lists loose pieces until they are accounted for, and earlier repairs with their judgement', async () => {
  await open({
    choices: [
      testChoice('fragment:1', { what: 'Half a ring', where: 'in the barrel', settled: '', removed: false }),
      testChoice('earlier:1', { componentId: 'pin', what: 'Remade once', judged: 'not known', removed: false }),
    ],
  });
  const fixture = await show(LoosePieces);
  await type(fixture, 'input[name=settled-1]', 'Found');
  await press(fixture, 'Accounted for');
  expect(body().value).toMatchObject({ what: 'Half a ring', settled: 'Found' });
  const judge = fixture.nativeElement.querySelector('select') as HTMLSelectElement;
  judge.value = 'the fault';
  judge.dispatchEvent(new Event('change'));
  expect(body(1).value).toMatchObject({ what: 'Remade once', judged: 'the fault' });
});

it('finds the size to order in the tables, and refuses a list entry without one', async () => {
  await open();
  const fixture = await show(ToOrder);
  await press(fixture, 'Put on the list');
  expect(words(fixture)).toContain('Size is needed.');
  const inside = fixture.nativeElement.querySelectorAll('ip-length input')[0] as HTMLInputElement;
  inside.value = '18.7';
  inside.dispatchEvent(new Event('input'));
  await fixture.whenStable();
  await press(fixture, 'AS568 -210');
  await press(fixture, 'Put on the list');
  expect(body().value).toMatchObject({ what: 'o-ring', size: 'AS568 -210', count: 1 });
});

describe('photographs', () => {
  const choose = async (fixture: Awaited<ReturnType<typeof show<Photos>>>, file: File): Promise<void> => {
    const input = fixture.nativeElement.querySelector('input[type=file]') as HTMLInputElement;
    Object.defineProperty(input, 'files', { value: [file], configurable: true });
    input.dispatchEvent(new Event('change'));
    await breathe();
    await fixture.whenStable();
  };

  it('go out as they are under an id of their own, and one that did not go can be sent again', async () => {
    await open();
    const fixture = await show(Photos);
    server.replies.push('silence');
    await choose(fixture, new File(['x'], 'pin.jpg', { type: 'image/jpeg' }));
    expect(words(fixture)).toContain('pin.jpg: the server does not answer. It is kept here and goes by itself.');
    await press(fixture, 'Send again');
    await breathe();
    const [first, second] = server.changes();
    expect(second!.headers['Idempotency-Key']).toBe(first!.headers['Idempotency-Key']);
    expect(second!.headers['Content-Type']).toBe('image/jpeg');
    expect(store.sheet()!.photos).toHaveLength(1);
  });

  it('are refused here when they are none, and told in the server’s words when it refuses', async () => {
    await open();
    const fixture = await show(Photos);
    await choose(fixture, new File(['x'], 'notes.txt', { type: 'text/plain' }));
    expect(words(fixture)).toContain('notes.txt: no JPEG, PNG or WebP picture.');
    expect(server.changes()).toEqual([]);
    server.replies.push(problem(422, { problems: [{ code: 'picture', path: 'picture', message: 'This is no picture.' }] }));
    await choose(fixture, new File(['x'], 'bad.png', { type: 'image/png' }));
    expect(words(fixture)).toContain('bad.png: This is no picture.');
  });
});

describe('Measure', () => {
  it('puts two instruments side by side and stores which is believed, with why', async () => {
    const readings = [...testSheet().readings, testReading({ placeId: 'land', stationMm: 14, valueMm: 39.9, instrumentId: 'tele' })];
    await open({ readings });
    const fixture = await show(Measure);
    expect(words(fixture)).toContain('Two instruments disagree at 14 mm, 0° by 0.075');
    await type(fixture, 'input[name=why]', 'Dirty.');
    const [first] = [...fixture.nativeElement.querySelectorAll('.sides button')] as HTMLButtonElement[];
    first!.click();
    expect(server.changes()[0]).toMatchObject({
      path: '/api/jobs/job/choices/settle:land:mic|tele',
      body: { value: { believed: 'mic' }, reason: 'Dirty.' },
    });
  });

  it('adds to the plan what the readings ask for', async () => {
    const readings = testSheet().readings.map((r) => (r.placeId === 'body' && r.clockDeg === 90 ? { ...r, valueMm: 39.6 } : r));
    await open({ readings }, withServerIds);
    store.select({ spanId: store.sheet()!.places[0]!.id });
    const fixture = await show(Measure);
    expect(words(fixture)).toContain('add 45° and 135°');
    await press(fixture, 'Add to the plan');
    expect(server.changes()[0]!.body).toMatchObject({ clocksDeg: [0, 45, 90, 135], stationsMm: [60] });
  });

  it('shows a depth over the ring against the direct one, and leads the line to what is missing', async () => {
    const detail = { ...NO_DETAIL, ringMm: 1.75, grooveWidthMm: 1.85 };
    const depth = testPlace('depth', { name: 'Groove depth', kind: 'depth', stationsMm: [40], clocksDeg: [0], detail });
    const reading = (quantity: 'depth' | 'over-ring', valueMm: number) =>
      testReading({ placeId: 'depth', quantity, valueMm, stationMm: 40, instrumentId: 'mic' });
    await open({
      places: [...testSheet().places, depth],
      readings: [...testSheet().readings, reading('depth', 40), reading('over-ring', 41)],
    });
    store.select({ spanId: 'depth' });
    const fixture = await show(Measure);
    expect(words(fixture)).toContain('One of them is wrong: measure both again.');
    await press(fixture, 'Read it: depth over the fitted ring');
    expect(store.selection()).toMatchObject({ spanId: 'depth', stationMm: 40, quantity: 'over-ring' });
  });

  it('draws a bend with its high spot, and keeps hardness and surface', async () => {
    const stationsMm = [0, 50, 100];
    const rod = testPlace('rod', { name: 'Rod', kind: 'straightness', stationsMm, clocksDeg: [0, 90, 180, 270] });
    const readings = stationsMm.flatMap((stationMm) =>
      [0, 90, 180, 270].map((clockDeg) =>
        testReading({
          placeId: 'rod',
          quantity: 'indicator',
          stationMm,
          clockDeg,
          valueMm: stationMm === 50 ? 0.3 * Math.cos((clockDeg * Math.PI) / 180) : 0,
        }),
      ),
    );
    await open({ places: [...testSheet().places, rod], readings: [...testSheet().readings, ...readings] });
    store.select({ spanId: 'rod' });
    const fixture = await show(Measure);
    expect(words(fixture)).toContain('Bow 0.300 mm, half of what the indicator shows; high spot at 50 mm along 0° ±');
    expect(words(fixture)).toContain('press here, high spot up');
    await type(fixture, 'input[name=hardness]', '42');
    await press(fixture, 'Save what was seen');
    expect(body().value).toMatchObject({ hardness: 42, scale: 'HRC' });
  });
});

it('ranks causes by what the readings say, and asks for what is done against the one that is chosen', async () => {
  const round = [0, 45, 90, 135].map((clockDeg) =>
    testReading({ placeId: 'body', stationMm: 60, clockDeg, valueMm: 39.68, instrumentId: 'mic' }),
  );
  const drawn = [testChoice(choiceKey.part, drawnPin())];
  await open({ choices: drawn, readings: [...testSheet().readings.filter((r) => r.placeId !== 'body'), ...round] });
  const fixture = await show(Diagnosis);
  expect(words(fixture)).toContain('Load always from one side of a standing hole');
  await press(fixture, 'This is it: Load always from one side');
  const route = fixture.nativeElement.querySelector('textarea[name=route]') as HTMLTextAreaElement;
  route.value = 'New pin.';
  route.dispatchEvent(new Event('input'));
  await press(fixture, 'Save cause and route');
  expect(body().value).toMatchObject({ causeId: 'load-one-way', cure: '' });
  await breathe();
  await fixture.whenStable();
  expect(words(fixture)).toContain('Like for like keeps this alive');
  await press(fixture, 'bronze bush that can be changed');
  await press(fixture, 'Save cause and route');
  expect(body(1).value).toMatchObject({ cure: 'bronze bush that can be changed' });
  expect(store.sheet()!.choices.find((c) => c.key === choiceKey.route)).toBeDefined();
  // What is done of each item is offered in words, for the report.
  await press(fixture, 'Hinge pin: made new');
  await press(fixture, 'Save cause and route');
  expect(body(2).value).toMatchObject({ route: expect.stringMatching(/^New pin\.; Hinge pin: made new, .*C45/) });
});

describe('a cause that is being typed while others work on the job', () => {
  const stored = (cause: string, version: number) => ({
    ...testChoice(choiceKey.route, { cause, route: 'New pin.', causeId: '', cure: '' }),
    version,
  });
  const typedCause = (f: { nativeElement: HTMLElement }): string =>
    f.nativeElement.querySelector<HTMLTextAreaElement>('textarea[name=cause]')!.value;
  const arrives = async (choices: JobSheet['choices']): Promise<void> => {
    server.sheet = {
      ...server.sheet,
      choices,
      readings: [...server.sheet.readings, testReading({ placeId: 'barrel', stationMm: 20, valueMm: 40.2 })],
    };
    await store.refresh();
    await breathe();
  };

  it('stays over news of something else', async () => {
    await open({ choices: [stored('Dry.', 1)] });
    const fixture = await show(Diagnosis);
    await type(fixture, 'textarea[name=cause]', 'Dry, and grit under the lip.');
    await arrives([stored('Dry.', 1)]);
    await fixture.whenStable();
    expect(typedCause(fixture)).toBe('Dry, and grit under the lip.');
  });

  it('stays over another’s cause, says so, and is saved against the one that it was typed over', async () => {
    await open({ choices: [stored('Dry.', 1)] });
    const fixture = await show(Diagnosis);
    await type(fixture, 'textarea[name=cause]', 'Dry, and grit under the lip.');
    await arrives([stored('Bent.', 2)]);
    await fixture.whenStable();
    expect(typedCause(fixture)).toBe('Dry, and grit under the lip.');
    expect(words(fixture)).toContain('is back. It is not saved yet.');
    server.replies.push(problem(412, { current: stored('Bent.', 2) }));
    await press(fixture, 'Save cause and route');
    await breathe();
    expect(server.changes()[0]!.headers['If-Match']).toBe('"v1"');
    expect(store.conflict()).not.toBeNull();
    expect(typedCause(fixture)).toBe('Dry, and grit under the lip.');
    await press(fixture, 'Throw it away');
    await fixture.whenStable();
    expect(typedCause(fixture)).toBe('Bent.');
  });

  it('follows another’s cause while nobody types', async () => {
    await open({ choices: [stored('Dry.', 1)] });
    const fixture = await show(Diagnosis);
    await arrives([stored('Bent.', 2)]);
    await fixture.whenStable();
    expect(typedCause(fixture)).toBe('Bent.');
  });
});

it('takes where something was found from a touch on the picture, along the component that it is on', async () => {
  const components = testSheet().components.map((c) => (c.id === testSheet().components[0]!.id ? { ...c, axisOffsetMm: 15 } : c));
  await open({ components });
  const fixture = await show(Diagnosis);
  await press(fixture, 'Pick something that was found');
  await press(fixture, 'Touch it on the picture');
  TestBed.inject(PlacePicker).answer(62.5);
  await fixture.whenStable();
  expect((fixture.nativeElement.querySelector('ip-length input') as HTMLInputElement).value).toBe('47.5');
  await press(fixture, 'Add the finding');
  expect(body().value).toMatchObject({ componentId: components[0]!.id, atMm: 47.5 });
});
