import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { check, ownPinInput, signInInput } from '@iron-patch/contract';
import type { Access } from '@iron-patch/core/terms/access';
import { testShop } from '@iron-patch/core/testing';
import { BASE } from '../../testing/base';
import { FakeServer } from '../../testing/fake-server';
import { show, words } from '../../testing/open-sheet';
import { ApiProblem, NoAnswer, SessionStore, ShopStore, Told } from '../data';
import { LooksOn } from '../shell/looks-on';
import { May } from './may';
import { PinPad } from './pin-pad';
import { SecretForm } from './secret-form';

@Component({
  imports: [May],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<button ipMay="release" (click)="done = done + 1">Release</button>',
})
class Desk {
  done = 0;
}

let server: FakeServer;
/** Tomas at the bench, who may what somebody of that kind may. */
async function at(access: Access): Promise<void> {
  localStorage.clear();
  server = new FakeServer();
  server.shop = { ...testShop, people: [{ ...testShop.people[0]!, access }] };
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE, provideRouter([{ path: '**', component: Desk }])] });
  TestBed.inject(SessionStore).choosePerson('tomas');
  await TestBed.inject(ShopStore).load();
}
const button = (fixture: ComponentFixture<Desk>): HTMLButtonElement => fixture.nativeElement.querySelector('button');

describe('a button of somebody else', () => {
  it('does nothing and says who may; one’s own works', async () => {
    await at('apprentice');
    const held = await show(Desk);
    button(held).click();
    expect([held.componentInstance.done, button(held).getAttribute('aria-disabled')]).toEqual([0, 'true']);
    expect(TestBed.inject(Told).message()?.text).toMatch(/^As “apprentice” you may not release .* Who may: owner, machinist\.$/);
    await at('machinist');
    const mine = await show(Desk);
    button(mine).click();
    expect([mine.componentInstance.done, button(mine).getAttribute('aria-disabled')]).toEqual([1, null]);
  });
});

describe('a place where somebody looks on', () => {
  it.each<[string, Access, string]>([
    ['/shop', 'machinist', 'You look on here. As “machinist” you may not change the shop'],
    ['/rack/saw', 'apprentice', 'may not change the crib and the rack'],
    ['/jobs/x/measure', 'desk', 'may not measure, decide, draw and cut'],
    ['/jobs/x/receive', 'desk', ''],
    ['/jobs/x/measure', 'apprentice', ''],
    ['/run-order', 'reader', 'As somebody who looks on you may not change the run order'],
    ['/sums', 'reader', ''],
  ])('%s, %s', async (url, access, said) => {
    await at(access);
    await TestBed.inject(Router).navigateByUrl(url);
    const text = words(await show(LooksOn));
    expect(said ? text.includes(said) : text === '').toBe(true);
  });
});

describe('the pad', () => {
  it('hands on digits as fast as they come, from the keyboard too', async () => {
    await at('owner');
    const fixture = await show(PinPad);
    const got: string[] = [];
    fixture.componentInstance.added.subscribe((d) => got.push(d));
    fixture.componentInstance.back.subscribe(() => got.push('back'));
    fixture.componentInstance.done.subscribe(() => got.push('in'));
    for (const key of ['7', '2', 'a', 'Backspace', '9', 'Enter'])
      document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    document.dispatchEvent(new KeyboardEvent('keydown', { key: '5', ctrlKey: true }));
    expect(got).toEqual(['7', '2', 'back', '9', 'in']);
  });
});

describe('what is typed of secrets', () => {
  const form = (send: () => Promise<void>) =>
    new SecretForm({ name: '', password: '' }, (v: { name: string; password: string }) => check(signInInput, v), send);

  it('is checked before it goes, gone once it was taken, and told at its field where not', async () => {
    let sent = 0;
    const good = form(() => Promise.resolve(void sent++));
    await good.submit();
    expect([sent, good.said('name'), good.said('password')]).toEqual([0, 'Name is needed.', 'Password is needed.']);
    good.set({ name: 'Maud', password: 'x' });
    expect(good.said('password')).toBe('');
    await good.submit();
    expect([sent, good.value()]).toEqual([1, { name: '', password: '' }]);
    const problems = [{ code: 'wrong', path: 'password', message: 'That is not it.' }];
    const bad = form(() => Promise.reject(new ApiProblem({ type: '', status: 422, title: 'No.', detail: '', problems })));
    bad.set({ name: 'Maud', password: 'x' });
    await bad.submit();
    expect([bad.said('password'), bad.message(), bad.value().password]).toEqual(['That is not it.', '', 'x']);
    const waits = form(() => Promise.reject(new ApiProblem({ type: '', status: 429, title: 'Too many.', detail: 'Later.' })));
    waits.set({ name: 'Maud', password: 'x' });
    await waits.submit();
    expect(waits.message()).toBe('Too many. Later.');
    const silent = form(() => Promise.reject(new NoAnswer('x')));
    silent.set({ name: 'Maud', password: 'x' });
    await silent.submit();
    expect([silent.message().slice(0, 26), silent.busy()]).toEqual(['The server does not answer', false]);
    expect(JSON.stringify({ ...localStorage })).not.toContain('Maud');
  });

  it.each([
    ['123', false],
    ['1234', false],
    ['4321', false],
    ['0000', false],
    ['1357', true],
    ['123456789', false],
    ['12a4', false],
  ])('a PIN of %s: %s', (pin, good) => {
    expect(check(ownPinInput, { password: 'x', pin }).ok).toBe(good);
  });
});
