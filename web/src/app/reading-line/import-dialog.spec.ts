import { OverlayContainer } from '@angular/cdk/overlay';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { FakeServer, problem } from '../../testing/fake-server';
import { breathe, openSheet, show } from '../../testing/open-sheet';
import type { SheetStore } from '../sheet-data';
import { ImportDialog } from './import-dialog';

const CSV = 'place,station_mm,clock_deg,reading\nBarrel bore,5,0,40.31';
let server: FakeServer;
let store: InstanceType<typeof SheetStore>;
let fixture: ComponentFixture<ImportDialog>;
let closed = 0;
beforeEach(async () => {
  server = new FakeServer();
  store = await openSheet(server);
  closed = 0;
  fixture = await show(ImportDialog, { text: CSV });
  fixture.componentInstance.closed.subscribe(() => closed++);
});

const dialog = (): HTMLElement => TestBed.inject(OverlayContainer).getContainerElement();
const press = async (name: string): Promise<void> => {
  [...dialog().querySelectorAll('button')].find((b) => b.textContent?.trim() === name)!.click();
  await breathe();
  await fixture.whenStable();
};

it('brings a pasted table in whole and says how many', async () => {
  server.replies.push({ status: 201, body: { stored: 1 } });
  await press('Bring in');
  expect(server.changes()[0]).toMatchObject({ path: '/api/jobs/job/readings-file', body: { csv: CSV } });
  expect(store.message()!.text).toBe('1 reading brought in.');
  expect(closed).toBe(1);
});

it('lists every bad row, keeps the table and stays open', async () => {
  const problems = Array.from({ length: 15 }, (_, i) => ({ code: 'x', path: `rows.${i}.reading`, message: `Row ${i + 1}, reading: no.` }));
  server.replies.push(problem(422, { problems }));
  await press('Bring in');
  const text = dialog().textContent.replace(/\s+/g, ' ');
  expect(text).toContain('15 problems. Nothing was stored.');
  expect(text).toContain('Row 12, reading: no.');
  expect(text).toContain('and 3 more.');
  expect(dialog().querySelector('textarea')!.value).toBe(CSV);
  expect(closed).toBe(0);
});

it('sends again under the same key after a silence, under a new one after a refusal', async () => {
  server.replies.push('silence', problem(422, { problems: [] }), { status: 201, body: { stored: 1 } });
  await press('Bring in');
  expect(dialog().textContent).toContain('What you typed is still here');
  await press('Bring in');
  await press('Bring in');
  const keys = server.changes().map((a) => a.headers['Idempotency-Key']);
  expect(keys[0]).toBe(keys[1]);
  expect(keys[2]).not.toBe(keys[1]);
});

it('takes a file, and not one that is far too large', async () => {
  const choose = async (file: Pick<File, 'size' | 'text'>): Promise<void> => {
    const input = dialog().querySelector<HTMLInputElement>('input[type=file]')!;
    Object.defineProperty(input, 'files', { value: [file], configurable: true });
    input.dispatchEvent(new Event('change'));
    await breathe();
    await fixture.whenStable();
  };
  await choose({ size: 3_000_000, text: () => Promise.resolve('') });
  expect(dialog().textContent).toContain('over 2 MB');
  await choose({ size: 20, text: () => Promise.resolve('place\nBore') });
  expect(dialog().querySelector('textarea')!.value).toBe('place\nBore');
});

it('can be left', async () => {
  await press('Cancel');
  expect(closed).toBe(1);
  expect(server.changes()).toEqual([]);
});
