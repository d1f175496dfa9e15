import { TestBed } from '@angular/core/testing';
import { LOCALE } from '../app.config';
import { ShopStore } from '../data';
import { FakeServer } from '../../testing/fake-server';
import { BASE } from '../../testing/base';
import { press, show, type, words } from '../../testing/open-sheet';
import { Tools } from './tools';

it('takes a tool in one line, says what it understood, and tells off what it did not only when it is hung up', async () => {
  const server = new FakeServer();
  TestBed.configureTestingModule({ providers: [...BASE, ...LOCALE] });
  await TestBed.inject(ShopStore).load();
  const fixture = await show(Tools);
  expect(words(fixture)).toContain('None hang here yet.');
  await type(fixture, '#tool-line', 'tap M10 x 1.25, plug, 2 off');
  expect(words(fixture)).toContain('Understood: Tap M10 x 1.25, plug, 2 pieces');
  await type(fixture, '#tool-line', 'hammer');
  expect(words(fixture)).not.toContain('Begin with what it is');
  await press(fixture, 'Hang it up');
  expect(words(fixture)).toContain('Begin with what it is');
  await type(fixture, '#tool-line', 'reamer 12 H7');
  expect(words(fixture)).not.toContain('Begin with what it is');
  await press(fixture, 'Hang it up');
  const sent = server.changes().filter((c) => c.path.startsWith('/api/tools/'));
  expect(sent.map((c) => c.body)).toEqual([{ kind: 'reamer', sizeMm: 12, thread: '', note: 'H7', pieces: 1, removed: false }]);
});
