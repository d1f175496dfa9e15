import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { routes, type OldListResource } from '@iron-patch/contract';
import { BASE } from '../../testing/base';
import { FakeServer } from '../../testing/fake-server';
import { breathe, press, show, words } from '../../testing/open-sheet';
import { ShopStore, Told } from '../data';
import { OldLists } from './old-lists';
import { readTable, textOf } from './read-table';

const LIST: OldListResource = { id: 'l1', name: 'cards.csv', jobs: 2, personId: 'tomas', at: '2026-11-02T10:00:00Z', takenBackAt: null };
const CSV =
  'Job no;Date;Customer;Machine;What;Work done\n17;4.12.2019;Orchard;Winch;Pin;turned new\n18;5.12.2019;Co-op;;Gland;"bushed;\nlapped"\n';

let server: FakeServer;
async function open(): Promise<ComponentFixture<OldLists>> {
  server = new FakeServer();
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE, provideRouter([])] });
  await TestBed.inject(ShopStore).load();
  server.oldLists = [LIST];
  return show(OldLists);
}
async function pick(fixture: ComponentFixture<OldLists>, text: string | Uint8Array<ArrayBuffer>, name = 'cards.csv'): Promise<void> {
  const input = (fixture.nativeElement as HTMLElement).querySelector('input[type=file]')!;
  const bytes = typeof text === 'string' ? new TextEncoder().encode(text) : text;
  const file = { name, size: bytes.length, arrayBuffer: () => Promise.resolve(bytes.buffer) };
  Object.defineProperty(input, 'files', { value: [file], configurable: true });
  input.dispatchEvent(new Event('change'));
  await breathe();
  await fixture.whenStable();
}
const choose = async (fixture: ComponentFixture<OldLists>, field: string, value: string): Promise<void> => {
  const label = [...(fixture.nativeElement as HTMLElement).querySelectorAll('label')].find((l) => l.textContent?.trim() === field)!;
  const select = (fixture.nativeElement as HTMLElement).querySelector<HTMLSelectElement>(`#${label.htmlFor}`)!;
  select.value = value;
  select.dispatchEvent(new Event('change'));
  await fixture.whenStable();
};

it('guesses the columns, shows what comes in, and brings it in as a whole', async () => {
  const fixture = await open();
  await pick(fixture, CSV);
  expect(words(fixture)).toContain('2 jobs, the first of them as they come in');
  expect(words(fixture)).toContain('Pin 17, Wed 4 Dec 2019, Orchard, Winch');
  expect(words(fixture)).toContain('bushed; lapped');
  server.replies.push({ status: 201, body: LIST });
  await press(fixture, 'Bring in 2 jobs');
  await breathe();
  expect(server.changes()[0]).toMatchObject({
    path: routes.oldLists,
    body: {
      name: 'cards.csv',
      jobs: [
        { line: 1, number: '17', doneOn: '2019-12-04' },
        { line: 2, title: 'Gland' },
      ],
    },
  });
  expect(TestBed.inject(Told).message()?.text).toBe('Brought in: 2 jobs of cards.csv in the ledger.');
});

it('lists everything that is wrong, and brings nothing in until it is put right', async () => {
  const fixture = await open();
  await pick(fixture, CSV.replace('4.12.2019', '31.2.2019').replace(';Gland;', ';;').replace('"bushed;\nlapped"', ''));
  expect(words(fixture)).toContain('2 things to put right');
  expect(words(fixture)).toContain('Row 1: 31.2.2019 is no day');
  expect(words(fixture)).toContain('Row 2: it says neither what the job was nor what was done.');
  await press(fixture, 'Bring in');
  expect(server.changes()).toEqual([]);
  // A column that is none of it is left out.
  await choose(fixture, 'Day', '');
  expect(words(fixture)).toContain('1 thing to put right');
});

it('tells what the server has against it, and why a file is no list', async () => {
  const fixture = await open();
  await pick(fixture, CSV);
  const problems = [{ code: 'twice', path: 'jobs', message: 'These jobs are in the ledger already, as “cards”.' }];
  server.replies.push({ status: 422, body: { type: '', status: 422, title: 'No', detail: '', problems } });
  await press(fixture, 'Bring in 2 jobs');
  await breathe();
  await fixture.whenStable();
  expect(words(fixture)).toContain('in the ledger already');
  await pick(fixture, 'a,"b\n');
  expect(words(fixture)).toContain('This is no table that can be read');
  await pick(fixture, '\n\n');
  expect(words(fixture)).toContain('has no header row');
});

it('takes a list back', async () => {
  const fixture = await open();
  expect(words(fixture)).toContain('cards.csv 2 jobs, 2 Nov 2026, Tomas Quill');
  await press(fixture, 'Take back cards.csv');
  await breathe();
  expect(server.changes()[0]!.path).toBe(routes.oldListWithdrawal('l1'));
});

it('reads what spreadsheets write: marks at the front, tabs, and letters of before UTF-8', () => {
  expect(textOf(Uint8Array.from([0x4b, 0xfc, 0x68, 0x6e]).buffer)).toBe('Kühn');
  expect(textOf(new TextEncoder().encode('Kühn').buffer)).toBe('Kühn');
  const table = readTable('\ufeffwhat\tdone\r\n"a\tb"\tc\td\r\n\'=1+1\r\n');
  expect(table.ok && table.value).toEqual({ header: ['what', 'done'], rows: [['a\tb', 'c', 'd'], ['=1+1']] });
});
