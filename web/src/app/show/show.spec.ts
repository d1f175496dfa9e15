import { ruled } from '@iron-patch/core';
import { FakeServer } from '../../testing/fake-server';
import { openSheet, press, show, words } from '../../testing/open-sheet';
import { SheetStore } from '../sheet-data';
import { TestBed } from '@angular/core/testing';
import { StateMark } from '../mark';
import { CautionNote, FigureButton, LengthPipe } from './index';

beforeEach(() => openSheet(new FakeServer()));

it('a figure tells its working when it is touched', async () => {
  const figure = ruled('c', 'running clearance', 0.111, 'house rule');
  const fixture = await show(FigureButton, { figure, withOther: true });
  expect(words(fixture)).toBe('running clearance: 0.111 0.0044 in , show its working');
  await press(fixture, 'running clearance');
  expect(TestBed.inject(SheetStore).figure()!.key).toBe('c');
});

it('four states have four shapes', async () => {
  const shapes = await Promise.all(
    ['done', 'close', 'out', 'not-yet'].map(async (state) => (await show(StateMark, { state })).nativeElement.innerHTML as string),
  );
  expect(new Set(shapes.map((s) => s.replace(/<!--.*?-->/g, ''))).size).toBe(4);
});

it('a caution says what, why and who', async () => {
  expect(words(await show(CautionNote, { hazard: 'lifting' }))).toBe(
    'Lifting gear. A pin that fails drops the load. A licensed person decides the material and the fit, and signs before it lifts again.',
  );
});

it('prints lengths and a dash for nothing', () => {
  const pipe = new LengthPipe();
  expect([pipe.transform(25.4, 'in'), pipe.transform(25.4, 'mm', 1), pipe.transform(null, 'mm'), pipe.transform(NaN, 'mm')]).toEqual([
    '1.0000',
    '25.4',
    '–',
    '–',
  ]);
});
