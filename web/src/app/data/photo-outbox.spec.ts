import { TestBed } from '@angular/core/testing';
import { BASE } from '../../testing/base';
import { FakeServer, problem } from '../../testing/fake-server';
import { breathe } from '../../testing/open-sheet';
import { PERSON_KEY } from './http';
import { KeptFiles } from './kept-files';
import { Live } from './live';
import { PhotoOutbox, type WaitingPhoto } from './photo-outbox';
import { writeStored } from './stored';

/** What a browser keeps, without a browser. */
class Shelf {
  readonly rows = new Map<string, WaitingPhoto>();
  room = true;
  put(row: WaitingPhoto): Promise<boolean> {
    if (this.room) this.rows.set(row.id, row);
    return Promise.resolve(this.room);
  }
  remove(id: string): Promise<void> {
    this.rows.delete(id);
    return Promise.resolve();
  }
  all(): Promise<WaitingPhoto[]> {
    return Promise.resolve([...this.rows.values()]);
  }
}

let server: FakeServer;
let shelf: Shelf;
const fresh = (): PhotoOutbox => {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE, { provide: KeptFiles, useValue: shelf }] });
  return TestBed.inject(PhotoOutbox);
};
const picture = (name: string): File => new File(['x'], name, { type: 'image/jpeg' });

beforeEach(() => {
  localStorage.clear();
  writeStored(PERSON_KEY, 'tomas');
  server = new FakeServer();
  shelf = new Shelf();
});

it('keeps a photograph before it is sent, and forgets it when it is stored', async () => {
  const outbox = fresh();
  const stored: string[] = [];
  outbox.acknowledged.subscribe((p) => stored.push(p.id));
  const sent = outbox.add('job', picture('pin.jpg'));
  const [photo] = outbox.items();
  await sent;
  await breathe();
  expect(server.changes()[0]!.headers).toMatchObject({ 'Idempotency-Key': photo!.id, 'Content-Type': 'image/jpeg', 'X-Person': 'tomas' });
  expect(stored).toHaveLength(1);
  expect(outbox.items()).toEqual([]);
  expect(shelf.rows.size).toBe(0);
});

it('has it again after a reload, and sends it under the same id and name when the server is back', async () => {
  server.down = true;
  const before = fresh();
  await before.add('job', picture('pin.jpg'));
  await breathe();
  expect(before.silent()).toBe(true);
  const { id } = before.items()[0]!;
  writeStored(PERSON_KEY, 'ines');
  const after = fresh();
  await breathe();
  expect(after.items().map((p) => p.name)).toEqual(['pin.jpg']);
  server.down = false;
  TestBed.inject(Live).back.next();
  await breathe();
  expect(after.items()).toEqual([]);
  expect(server.changes().at(-1)!.headers).toMatchObject({ 'Idempotency-Key': id, 'X-Person': 'tomas' });
});

it('sets one aside that the server refuses, and sends the others', async () => {
  const outbox = fresh();
  server.replies.push(problem(422, { problems: [{ code: 'picture', path: 'picture', message: 'This is no picture.' }] }));
  await Promise.all([outbox.add('job', picture('notes.jpg')), outbox.add('job', picture('pin.jpg'))]);
  await breathe();
  expect(outbox.items().map((p) => [p.name, p.refused])).toEqual([['notes.jpg', 'This is no picture.']]);
  expect(shelf.rows.size).toBe(1);
  await outbox.again(outbox.items()[0]!.id);
  await breathe();
  expect(outbox.items()).toEqual([]);
});

it('says when the browser has no room, and sends all the same', async () => {
  shelf.room = false;
  server.down = true;
  const outbox = fresh();
  await outbox.add('job', picture('pin.jpg'));
  shelf.room = true;
  await outbox.add('job', picture('hub.jpg'));
  await breathe();
  // The first is still kept nowhere else, whatever room there is now.
  expect(outbox.full()).toBe(true);
  server.down = false;
  await outbox.flush();
  await breathe();
  expect(outbox.items()).toEqual([]);
  expect(outbox.full()).toBe(false);
});

it('drops one that is left out for good', async () => {
  server.down = true;
  const outbox = fresh();
  await outbox.add('job', picture('pin.jpg'));
  outbox.drop(outbox.items()[0]!.id);
  expect(outbox.items()).toEqual([]);
  expect(shelf.rows.size).toBe(0);
});
