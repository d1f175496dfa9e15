import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { FakeServer } from '../../testing/fake-server';
import { breathe, openSheet, press, show, words } from '../../testing/open-sheet';
import { Live, OpenJob, SessionStore, SumsDesk } from '../data';
import { SheetStore } from '../sheet-data';
import { Moved } from '../sheet/moved';
import { Rail } from '../sheet/rail';
import { TopStrip } from './top-strip';
import { testReading, testSheet, drawnPin, testChoice, testShop } from '@iron-patch/core/testing';
import { choiceKey, freeze, workOut } from '@iron-patch/core';

let server: FakeServer;
beforeEach(async () => {
  server = new FakeServer();
  await openSheet(server);
});
const key = (name: string, more: KeyboardEventInit = {}, target: EventTarget = document): void => {
  target.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, ...more }));
};

describe('the strip on top', () => {
  it('tells place, shop temperature, unit and who', async () => {
    const text = words(await show(TopStrip));
    expect(text).toContain('Job 1042');
    expect(text).toContain('Shop 20 °C');
    expect(TestBed.inject(SessionStore).personId()).toBe('tomas');
  });

  it('switches the unit by key and keeps it in this browser', async () => {
    await show(TopStrip);
    key('u');
    expect(TestBed.inject(SheetStore).unit()).toBe('in');
    expect(localStorage.getItem('iron-patch.units')).toBe('{"job":"in"}');
    // Another job keeps its own unit.
    expect(TestBed.inject(SessionStore).unitFor('another')).toBeNull();
  });

  it('goes to stations by number, and not while somebody types one', async () => {
    await show(TopStrip);
    const router = TestBed.inject(Router);
    const gone = jest.spyOn(router, 'navigate').mockResolvedValue(true);
    jest.spyOn(router, 'url', 'get').mockReturnValue('/jobs/job/measure');
    key('4');
    expect(gone).toHaveBeenLastCalledWith(['/jobs', 'job', 'decide']);
    const input = document.body.appendChild(document.createElement('input'));
    key('7', {}, input);
    expect(gone).toHaveBeenCalledTimes(1);
    key('7', { altKey: true }, input);
    expect(gone).toHaveBeenLastCalledWith(['/jobs', 'job', 'cut']);
    // A field that goes while somebody types in it takes the rest of the number with it: it leads nowhere.
    key('1', {}, input);
    input.remove();
    key('0');
    expect(gone).toHaveBeenCalledTimes(2);
    const other = document.body.appendChild(document.createElement('input'));
    key('2', {}, other);
    key('Enter', {}, other);
    key('0');
    expect(gone).toHaveBeenLastCalledWith(['/']);
    other.remove();
  });

  describe('the key =', () => {
    const desk = () => TestBed.inject(SumsDesk);
    const reading = (): HTMLInputElement => {
      const input = document.body.appendChild(document.createElement('input'));
      input.id = 'reading';
      return input;
    };

    it('lays the Sums bench over the work and takes it away again', async () => {
      await show(TopStrip);
      key('=');
      expect(desk().open()).toBe(true);
      key('=');
      expect(desk().open()).toBe(false);
    });

    it('works on the reading line, where no length has one, and leaves it to every other field', async () => {
      await show(TopStrip);
      const line = reading();
      const pressed = new KeyboardEvent('keydown', { key: '=', bubbles: true, cancelable: true });
      line.dispatchEvent(pressed);
      expect([desk().open(), pressed.defaultPrevented]).toEqual([true, true]);
      desk().setOpen(false);
      line.id = 'another';
      key('=', {}, line);
      expect(desk().open()).toBe(false);
      line.remove();
    });

    it('keeps the keys of the work still while the bench lies over it, but for the unit', async () => {
      await show(TopStrip);
      const router = TestBed.inject(Router);
      const gone = jest.spyOn(router, 'navigate').mockResolvedValue(true);
      jest.spyOn(router, 'url', 'get').mockReturnValue('/jobs/job/measure');
      desk().setOpen(true);
      for (const k of ['4', '0', '?']) key(k);
      expect(gone).not.toHaveBeenCalled();
      key('u');
      expect(TestBed.inject(OpenJob).unit()).toBe('in');
    });

    it('opens nothing on the bench’s own page', async () => {
      await show(TopStrip);
      jest.spyOn(TestBed.inject(Router), 'url', 'get').mockReturnValue('/sums/sum/key');
      key('=');
      expect(desk().open()).toBe(false);
    });
  });

  it('says when the line is down, and what is kept here meanwhile', async () => {
    const fixture = await show(TopStrip);
    TestBed.inject(Live).online.set(false);
    await fixture.whenStable();
    expect(words(fixture)).toContain('No line to the server');
    server.down = true;
    TestBed.inject(SheetStore).takeReading({ ...testReading({ placeId: 'barrel', valueMm: 40.2 }), confirmed: true }, 40.2);
    await breathe();
    await fixture.whenStable();
    expect(words(fixture)).toContain('1 reading kept here, not yet on the server');
  });
});

it('the rail names the nine stations with their state in words', async () => {
  const text = words(await show(Rail, { station: 'measure' }));
  expect(text).toContain('Receive , done');
  expect(text).toContain('Decide , not yet');
  expect((await show(Rail, { station: 'measure' })).nativeElement.querySelector('a.next').textContent).toContain('Decide');
});

describe('numbers that moved after the release', () => {
  const drawn = testSheet({
    choices: [
      testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null }),
      testChoice(choiceKey.part, drawnPin()),
    ],
  });
  const release = {
    id: 'r',
    jobId: 'job',
    itemId: 'job',
    figures: freeze(workOut(drawn, testShop).releasable, 'mm'),
    personId: 'tomas',
    at: '',
  };

  it('are shown old and new, and each can be accepted', async () => {
    const moved = {
      ...drawn,
      releases: [release],
      readings: [...drawn.readings, testReading({ placeId: 'barrel', stationMm: 20, clockDeg: 90, valueMm: 40.1 })],
    };
    server = new FakeServer(moved);
    const store = await openSheet(server);
    const fixture = await show(Moved);
    const before = store.repair()!.moved.length;
    expect(words(fixture)).toContain(`${before} released numbers moved.`);
    expect(words(fixture)).toContain('40.041');
    await press(fixture, 'Accept');
    await breathe();
    expect(server.changes()[0]!.path).toMatch(/choices\/accept:/);
    expect(store.repair()!.moved).toHaveLength(before - 1);
  });

  it('are none while nothing changed', async () => {
    await openSheet(new FakeServer({ ...drawn, releases: [release] }));
    expect(words(await show(Moved))).toBe('');
  });
});
