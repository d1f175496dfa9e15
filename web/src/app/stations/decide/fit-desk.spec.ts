import { choiceKey } from '@iron-patch/core';
import { testChoice, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, press, show, type, words } from '../../../testing/open-sheet';
import { FitDesk, type PickedFit } from './fit-desk';

const running = (pinC: number, hubOutsideMm: number | null = null) =>
  testChoice(choiceKey.running('barrel'), { pinC, holeC: 20, hubOutsideMm });

async function open(choices = [] as ReturnType<typeof testChoice>[]) {
  const server = new FakeServer(testSheet({ choices }));
  const store = await openSheet(server);
  const fixture = await show(FitDesk, { fit: store.repair()!.fits[0] });
  const picked: PickedFit[] = [];
  fixture.componentInstance.picked.subscribe((p) => picked.push(p));
  return { server, store, fixture, picked };
}

const slider = (fixture: { nativeElement: HTMLElement }): SVGElement => fixture.nativeElement.querySelector('[role=slider]')!;
const own = (fixture: { nativeElement: HTMLElement }): string => slider(fixture).getAttribute('aria-valuetext')!;
const key = (k: string): KeyboardEvent => new KeyboardEvent('keydown', { key: k, cancelable: true });

it('lays every school on one scale: play left of the hole, interference into it', async () => {
  const { fixture, store } = await open();
  const rows = [...fixture.nativeElement.querySelectorAll('.line:not(.head):not(.own)')] as HTMLElement[];
  expect(rows).toHaveLength(store.repair()!.fits[0]!.options.length);
  const percent = (row: HTMLElement, selector: string, name: string): number =>
    parseFloat(row.querySelector(selector)!.getAttribute(name)!);
  for (const row of rows) {
    const end = percent(row, '.pin', 'x') + percent(row, '.pin', 'width');
    const hole = percent(row, '.hole', 'x');
    const tight = row.querySelector('.pin')!.classList.contains('tight');
    if (tight) expect(end).toBeGreaterThan(hole - 0.7);
    else expect(end).toBeLessThan(hole + 0.7);
  }
});

it('says how each goes in, and marks the house default', async () => {
  const { fixture } = await open();
  expect(words(fixture)).toMatch(/Running in grease or dirt house default .*? by hand/);
  expect(words(fixture)).toMatch(/H7\/s6 .*? press/);
});

it('shows the play when it runs once a temperature is given, and that it seizes', async () => {
  const { fixture } = await open([running(20)]);
  expect(words(fixture)).not.toContain('play, running');
  const hot = await open([running(180)]);
  expect(words(hot.fixture)).toContain('play, running');
  expect(words(hot.fixture)).toContain('seizes');
});

it('stores the temperatures when the typing stops, and not while they are wrong', async () => {
  const { fixture, server } = await open();
  const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
  await type(fixture, 'input[name=pinC]', 'hot');
  expect(words(fixture)).toContain('Pin when it runs');
  await pause(600);
  expect(server.changes()).toEqual([]);
  await type(fixture, 'input[name=pinC]', '6');
  await type(fixture, 'input[name=pinC]', '60');
  await pause(600);
  expect(server.changes()).toHaveLength(1);
  expect(server.changes()[0]).toMatchObject({
    path: '/api/jobs/job/choices/running:barrel',
    body: { value: { pinC: 60, holeC: 20, hubOutsideMm: null } },
  });
});

it('moves an own target by arrow keys, by typing, and by dragging; picking it names its clearance', async () => {
  const { fixture, picked } = await open();
  expect(own(fixture)).toContain('40.049 mm');
  slider(fixture).dispatchEvent(key('ArrowRight'));
  slider(fixture).dispatchEvent(key('PageUp'));
  await fixture.whenStable();
  expect(own(fixture)).toContain('40.060 mm');
  await type(fixture, 'input[inputmode=decimal]', '40.1');
  expect(own(fixture)).toContain('40.100 mm');
  jest.spyOn(slider(fixture), 'getBoundingClientRect').mockReturnValue({ left: 0, width: 200 } as DOMRect);
  const down = new MouseEvent('pointerdown', { clientX: 100, buttons: 1, cancelable: true });
  slider(fixture).dispatchEvent(down);
  await fixture.whenStable();
  const dragged = Number(slider(fixture).getAttribute('aria-valuenow'));
  expect(dragged).not.toBeCloseTo(40.1, 3);
  expect(dragged * 1000).toBeCloseTo(Math.round(dragged * 1000), 6);
  await type(fixture, 'input[inputmode=decimal]', '40.1');
  await press(fixture, 'Own target, keep the hole, pin 40.100');
  expect(picked[0]!.hole).toBe('keep');
  expect(picked[0]!.option.id).toMatch(/^own:0\.0\d+$/);
});

it('refuses to crack a hub in the words of the shop', async () => {
  const sheet = testSheet();
  const components = sheet.components.map((c) => (c.role === 'mate' ? { ...c, materialId: 'iron-grey' } : c));
  const store = await openSheet(
    new FakeServer(
      testSheet({
        components,
        choices: [running(20, 50), testChoice(choiceKey.fit('barrel'), { schoolId: 'own:-0.2000', hole: 'keep', truedMm: null })],
      }),
    ),
  );
  const fixture = await show(FitDesk, { fit: store.repair()!.fits[0] });
  expect(words(fixture)).toContain('would crack the hub');
});
