import type { SawJob } from '@iron-patch/contract';
import { cutStockNow, type SawNeed } from '@iron-patch/core';
import { testBar, testShop } from '@iron-patch/core/testing';
import { FakeServer } from '../../testing/fake-server';
import { openSheet, press, show, words } from '../../testing/open-sheet';
import type { SawMessage, SawQuestion } from '../workers/saw-message';
import { SawList } from './saw-list';

/** The worker on this thread: it answers once it is let. */
class HereWorker {
  static last: HereWorker;
  onmessage: ((e: { data: SawMessage }) => void) | null = null;
  asked!: SawQuestion;
  ended = false;
  constructor() {
    HereWorker.last = this;
  }
  postMessage(question: SawQuestion): void {
    this.asked = question;
  }
  terminate(): void {
    this.ended = true;
  }
  answer(): void {
    const { needs, bars, options } = this.asked;
    this.onmessage!({ data: { kind: 'done', plan: cutStockNow(needs, bars, options) } });
  }
}
jest.mock('../workers/saw.worker-factory', () => ({ newWorker: () => new HereWorker() }));

const need = (more: Partial<SawNeed> = {}): SawNeed => ({
  ...{ itemId: 'item', name: 'Pin', each: 1, left: 2, sawn: { blanks: 1, pieces: 1 }, version: 4, flat: false, block: null, only: null },
  fit: {
    materialId: 'steel-c45',
    lengthMm: 162.5,
    diameterMm: 55,
    ownSizeMm: null,
    boreMm: null,
    unknownBarId: null,
    thickMm: 100,
    cutsOff: true,
  },
  ...more,
});
const job = (number: number, saws: readonly SawNeed[]): SawJob => ({ id: `job-${number}`, number, title: 'Pin', promisedOn: null, saws });

let server: FakeServer;
const list = async (saws: readonly SawJob[], rack = [testBar('long'), testBar('off', { lengthMm: 170, place: 'offcuts' })]) => {
  server = new FakeServer();
  server.shop = { ...testShop, rack };
  server.saws = saws;
  await openSheet(server);
  const fixture = await show(SawList);
  await fixture.whenStable();
  return fixture;
};

it('takes the offcut first, tells where the stop is set, and says what is left', async () => {
  const fixture = await list([job(7, [need()])]);
  HereWorker.last.answer();
  await fixture.whenStable();
  const said = words(fixture);
  expect(said).toContain('2 blanks from 2 bars');
  expect(said).toContain('160.0 mm 1 off 7 Pin');
  expect(said).toContain('8 mm is left, scrap');
  await press(fixture, 'Sawn: 60 round');
  const [sawn] = server.changes();
  expect(sawn!.path).toMatch(/\/api\/bars\/(off|long)\/sawn$/);
  expect(sawn!.body).toMatchObject({ version: 1, blanks: [{ jobId: 'job-7', itemId: 'item', blanks: 1, lengthMm: 162.5 }] });
});

it('a piece that has its blank already is told so, and the rack stays as it is', async () => {
  const fixture = await list([job(7, [need()])]);
  HereWorker.last.answer();
  await fixture.whenStable();
  await press(fixture, 'They have their blanks: 7 Pin');
  const [told] = server.changes();
  expect([told!.path, told!.headers['If-Match'], told!.body]).toEqual([
    '/api/jobs/job-7/choices/sawn:item',
    '"v4"',
    { value: { blanks: 3, pieces: 3 }, reason: '' },
  ]);
});

it('names what comes out of no bar, and why', async () => {
  const thick = need({ itemId: 'thick', name: 'Roller', left: 1, fit: { ...need().fit, diameterMm: 90 } });
  const gone = need({ itemId: 'gone', name: 'Shaft', left: 1, only: { shape: 'round', diameterMm: 58, innerMm: null, finish: 'black' } });
  const fixture = await list([job(7, [thick, gone])]);
  HereWorker.last.answer();
  await fixture.whenStable();
  const said = words(fixture);
  expect(said).toContain('No bar of this material is 90 mm (3.543 in) thick.');
  expect(said).toContain('The bar that it was released for is gone.');
  const all = await list([job(7, [need({ left: 3 })])], [testBar('one', { lengthMm: 330 })]);
  HereWorker.last.answer();
  await all.whenStable();
  expect(words(all)).toContain('Other jobs of this list take what there is.');
});

it('can be stopped while it works, and laid out again', async () => {
  const fixture = await list([job(7, [need()])]);
  HereWorker.last.onmessage!({ data: { kind: 'progress', ways: 4000 } });
  await fixture.whenStable();
  expect(words(fixture)).toContain('4,000 ways looked at.');
  const first = HereWorker.last;
  await press(fixture, 'Stop');
  expect(first.ended).toBe(true);
  await press(fixture, 'Lay it out');
  HereWorker.last.answer();
  await fixture.whenStable();
  expect(words(fixture)).toContain('2 blanks from 2 bars');
});

it('says so where nothing is to be sawn', async () => {
  const fixture = await list([]);
  HereWorker.last.answer();
  await fixture.whenStable();
  expect(words(fixture)).toContain('Nothing to saw.');
});
