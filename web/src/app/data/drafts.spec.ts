import { BASE } from '../../testing/base';
import { ChangeDetectionStrategy, Component, input, linkedSignal, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { breathe } from '../../testing/open-sheet';
import { Drafts, keptDraft, type Draft } from './drafts';

/** What a browser keeps, without a browser. */
class Kept {
  readonly rows = new Map<string, Draft>();
  get(key: string): Promise<Draft | undefined> {
    return Promise.resolve(this.rows.get(key));
  }
  put(key: string, draft: Draft): Promise<void> {
    this.rows.set(key, JSON.parse(JSON.stringify(draft)) as Draft);
    return Promise.resolve();
  }
  remove(key: string): Promise<void> {
    this.rows.delete(key);
    return Promise.resolve();
  }
}

@Component({
  selector: 'ip-form-of-name',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '{{ name() }} {{ count() }} {{ kept.back() ? "is back" : "" }}',
})
class Form {
  readonly of = input('a');
  readonly name = signal('');
  readonly count = signal<number | null>(null);
  readonly version = signal(1);
  readonly kept = keptDraft(() => `form:${this.of()}`, { name: this.name, count: this.count, version: this.version });
}

/** A form that follows what is stored until somebody types. */
const stored = signal('steel');
@Component({ selector: 'ip-form-of-stored', changeDetection: ChangeDetectionStrategy.OnPush, template: '{{ name() }}' })
class Following {
  readonly name = linkedSignal(() => stored());
  readonly readAt = linkedSignal(() => stored().length);
  readonly kept = keptDraft(
    () => 'following',
    { name: this.name },
    { untouched: () => ({ name: stored() }), rests: { readAt: this.readAt } },
  );
}

let kept: Kept;
beforeEach(() => {
  kept = new Kept();
  stored.set('steel');
  TestBed.configureTestingModule({ providers: [...BASE, { provide: Drafts, useValue: kept }] });
});
async function open<T>(form: new () => T, of?: string): Promise<ComponentFixture<T>> {
  const fixture = TestBed.createComponent(form);
  if (of) fixture.componentRef.setInput('of', of);
  await settle(fixture);
  return fixture;
}
async function settle(fixture: ComponentFixture<unknown>): Promise<void> {
  await fixture.whenStable();
  await breathe();
  await fixture.whenStable();
}
const textOf = (f: ComponentFixture<unknown>): string => (f.nativeElement as HTMLElement).textContent.trim();

it('keeps what is typed, and brings it back where the same form is opened again', async () => {
  const first = await open(Form);
  expect(kept.rows.size).toBe(0);
  first.componentInstance.name.set('Hinge pin');
  first.componentInstance.count.set(2);
  await settle(first);
  first.destroy();
  const again = await open(Form);
  expect(textOf(again)).toBe('Hinge pin 2 is back');
  expect((await open(Form, 'b')).componentInstance.name()).toBe('');
});

it('rests on the version that it was typed over, though a newer one is stored meanwhile', async () => {
  const first = await open(Form);
  first.componentInstance.name.set('Hinge pin');
  await settle(first);
  first.destroy();
  const again = TestBed.createComponent(Form);
  again.componentInstance.version.set(4);
  await settle(again);
  expect([again.componentInstance.name(), again.componentInstance.version()]).toEqual(['Hinge pin', 1]);
});

it('is gone when it is stored, thrown away, or typed back to what it was', async () => {
  const form = await open(Form);
  form.componentInstance.name.set('Pin');
  await settle(form);
  expect(kept.rows.size).toBe(1);
  form.componentInstance.name.set('');
  await settle(form);
  expect(kept.rows.size).toBe(0);
  form.componentInstance.name.set('Pin');
  await settle(form);
  form.componentInstance.kept.throwAway();
  await settle(form);
  expect([form.componentInstance.name(), kept.rows.size]).toEqual(['', 0]);
  form.componentInstance.name.set('Pin');
  await settle(form);
  form.componentInstance.kept.done();
  await settle(form);
  expect([form.componentInstance.name(), kept.rows.size]).toEqual(['Pin', 0]);
});

it('leaves alone what somebody typed before it could come back', async () => {
  kept.rows.set('form:a', { values: { name: 'Old', count: 1, version: 1 }, at: '2026-11-26T10:00:00Z' });
  const slow = jest.spyOn(kept, 'get').mockImplementation(async () => {
    await new Promise((r) => setTimeout(r, 20));
    return { values: { name: 'Old', count: 1, version: 1 }, at: '2026-11-26T10:00:00Z' };
  });
  const fixture = TestBed.createComponent(Form);
  await fixture.whenStable();
  fixture.componentInstance.name.set('New');
  await new Promise((r) => setTimeout(r, 40));
  await settle(fixture);
  expect(fixture.componentInstance.name()).toBe('New');
  slow.mockRestore();
});

it('follows what is stored while nobody typed, and takes no news for typing', async () => {
  const form = await open(Following);
  stored.set('bronze');
  await settle(form);
  expect([form.componentInstance.name(), kept.rows.size]).toEqual(['bronze', 0]);
  form.componentInstance.name.set('iron');
  await settle(form);
  form.destroy();
  const again = await open(Following);
  expect(again.componentInstance.name()).toBe('iron');
  again.componentInstance.kept.throwAway();
  await settle(again);
  expect([again.componentInstance.name(), kept.rows.size]).toEqual(['bronze', 0]);
});

it('what was typed stays where another saves meanwhile, over what it was typed over, and says so', async () => {
  const fixture = await open(Following);
  const form = fixture.componentInstance;
  const settled = (): Promise<void> => settle(fixture);
  expect(form.readAt()).toBe(5);
  form.name.set('iron');
  await settled();
  stored.set('bronze');
  await settled();
  expect([form.name(), form.readAt(), form.kept.back() !== null]).toEqual(['iron', 5, true]);
  // Saved over theirs after all, it is stored: the form follows again.
  stored.set('iron');
  await settled();
  expect([form.name(), form.readAt(), form.kept.back(), kept.rows.size]).toEqual(['iron', 4, null, 0]);
});

it('says so when the browser has no room', async () => {
  const drafts = new Drafts();
  // This test environment has no database of its own: nothing can be kept.
  await drafts.put('x', { values: {}, at: '' });
  expect(drafts.full()).toBe(true);
  await drafts.remove('x');
  expect(drafts.full()).toBe(false);
});
