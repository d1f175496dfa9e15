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

it('says how each goes in, and marks what is usual here, and bars what will not do', async () => {
  const { fixture } = await open();
  expect(words(fixture)).toMatch(/Running in grease or dirt usual here .*? by hand/);
  expect(words(fixture)).toMatch(/H7\/s6 .*? it runs: needs play/);
  const barred = [...fixture.nativeElement.querySelectorAll('button.pick')].filter((b: HTMLButtonElement) => b.disabled);
  expect(barred.length).toBeGreaterThan(4);
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
  await type(fixture, '.own input[inputmode=decimal]', '40.1');
  expect(own(fixture)).toContain('40.100 mm');
  jest.spyOn(slider(fixture), 'getBoundingClientRect').mockReturnValue({ left: 0, width: 200 } as DOMRect);
  const down = new MouseEvent('pointerdown', { clientX: 100, buttons: 1, cancelable: true });
  slider(fixture).dispatchEvent(down);
  await fixture.whenStable();
  const dragged = Number(slider(fixture).getAttribute('aria-valuenow'));
  expect(dragged).not.toBeCloseTo(40.1, 3);
  expect(dragged * 1000).toBeCloseTo(Math.round(dragged * 1000), 6);
  await type(fixture, '.own input[inputmode=decimal]', '40.1');
  await press(fixture, 'Own target, keep the hole, new part 40.100');
  expect(picked[0]!.hole).toBe('keep');
  expect(picked[0]!.option.id).toMatch(/^own:0\.0\d+$/);
  const field = fixture.nativeElement.querySelector('.own input[inputmode=decimal]') as HTMLInputElement;
  field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
  expect(picked[1]).toEqual(picked[0]);
});

it('refuses to crack a hub in the words of the shop', async () => {
  const sheet = testSheet();
  const components = sheet.components.map((c) => (c.role === 'mate' ? { ...c, materialId: 'iron-grey' } : c));
  const store = await openSheet(
    new FakeServer(
      testSheet({
        components,
        choices: [
          running(20, 50),
          testChoice(choiceKey.runs('barrel'), { kind: 'pressed-bush' }),
          testChoice(choiceKey.fit('barrel'), { schoolId: 'own:-0.2000', hole: 'keep', truedMm: null }),
        ],
      }),
    ),
  );
  const fixture = await show(FitDesk, { fit: store.repair()!.fits[0] });
  expect(words(fixture)).toContain('would crack the hub');
});

describe('a hole that is bored true', () => {
  const boreTo = async (fixture: Awaited<ReturnType<typeof open>>['fixture'], text: string): Promise<void> => {
    await type(fixture, '.truing input', text);
    (fixture.nativeElement.querySelector('.truing input') as HTMLInputElement).dispatchEvent(new Event('blur'));
    await fixture.whenStable();
  };

  it('starts at the smallest usual size that cleans up, and needs no size of its own then', async () => {
    const { fixture, picked } = await open();
    expect(words(fixture)).toContain('It cleans up from 40.350 on.');
    await press(fixture, 'Running in grease or dirt, true the hole, new part 40.239');
    expect(picked[0]).toMatchObject({ hole: 'true', truedMm: null });
  });

  it('takes a size that is typed, and every pin follows it', async () => {
    const { fixture, picked } = await open();
    await boreTo(fixture, '40.6');
    expect(words(fixture)).toContain('trued to 40.600');
    await press(fixture, 'Running in grease or dirt, true the hole, new part 40.488');
    expect(picked[0]).toMatchObject({ hole: 'true', truedMm: 40.6 });
  });

  it('says when a size does not clean up, and offers no pin for it', async () => {
    const { fixture } = await open();
    await boreTo(fixture, '40.2');
    expect(words(fixture)).toContain('would not clean up');
    expect(words(fixture)).not.toContain('true the hole, new part');
  });

  it('can go in line with the other holes of the job', async () => {
    const { fixture, picked } = await open();
    fixture.componentRef.setInput('inLineMm', 40.5);
    await fixture.whenStable();
    await press(fixture, 'All holes in line: 40.500');
    expect(words(fixture)).not.toContain('All holes in line');
    await press(fixture, 'Running in grease or dirt, true the hole');
    expect(picked[0]).toMatchObject({ truedMm: 40.5 });
  });

  it('leaves an own target where the hole as it is wants it', async () => {
    const { fixture } = await open([testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'true', truedMm: 40.6 })]);
    expect(words(fixture)).toContain('trued to 40.600');
    expect(own(fixture)).toMatch(/^40[.]049 mm/);
  });
});
