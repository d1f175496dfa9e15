import { Location } from '@angular/common';
import { TestBed } from '@angular/core/testing';
import { FakeServer } from '../../testing/fake-server';
import { openSheet, press, show, words } from '../../testing/open-sheet';
import { SumsDesk } from '../data';
import { SumsPage } from './sums-page';
import { SumsPanel } from './sums-panel';

beforeEach(() => openSheet(new FakeServer()));

describe('the bench over the work', () => {
  it('is laid aside by its button and by Escape from anywhere', async () => {
    const desk = TestBed.inject(SumsDesk);
    const fixture = await show(SumsPanel);
    for (const close of [
      () => press(fixture, 'Back to work Esc'),
      () => document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' })),
    ]) {
      desk.setOpen(true);
      await close();
      expect(desk.open()).toBe(false);
    }
  });

  it('is a dialog with a name', async () => {
    const dialog = (await show(SumsPanel)).nativeElement.querySelector('[role=dialog]') as HTMLElement;
    expect([dialog.getAttribute('aria-modal'), dialog.getAttribute('aria-label')]).toEqual(['true', 'Sums']);
  });
});

describe('the bench as a place', () => {
  it('opens what its address names, a sum or a table, and closes the bench over the work', async () => {
    TestBed.inject(SumsDesk).setOpen(true);
    const fixture = await show(SumsPage, { kind: 'table', id: 'ba' });
    expect(words(fixture)).toContain('BA threads');
    expect(TestBed.inject(SumsDesk).open()).toBe(false);
  });

  it('keeps its address to what lies on it, without a step in the history', async () => {
    const replaced = jest.spyOn(TestBed.inject(Location), 'replaceState');
    const fixture = await show(SumsPage);
    await press(fixture, 'Tap drill');
    expect(replaced).toHaveBeenLastCalledWith('/sums/sum/tap-drill', '');
  });

  it('opens its first sum for an address that names none', async () => {
    expect(words(await show(SumsPage, { kind: 'sum', id: 'no-such' }))).toContain('Convert a size');
  });
});
