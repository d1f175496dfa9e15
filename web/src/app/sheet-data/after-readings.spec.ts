import { choiceKey } from '@iron-patch/core';
import { testReading, testSheet } from '@iron-patch/core/testing';
import { TestBed } from '@angular/core/testing';
import { FakeServer } from '../../testing/fake-server';
import { openSheet } from '../../testing/open-sheet';
import { Outbox } from '../data';

it('an act that is held against the evidence goes after the readings that were typed before it', async () => {
  const server = new FakeServer(testSheet());
  const store = await openSheet(server);
  const { jobId: _, personId: __, ...reading } = testReading({ placeId: 'body', stationMm: 60, clockDeg: 45, valueMm: 39.7, text: '39.7' });
  TestBed.inject(Outbox).add('job', { ...reading, confirmed: true }, 39.7);
  const act = { componentId: 'pin', placeId: null, kind: 'saw', where: '', state: 'done', override: 'as agreed', removed: false };
  await store.putChoice(choiceKey.act('a'), 'saw through', act);
  expect(server.changes().map((c) => c.path)).toEqual([expect.stringContaining('readings'), '/api/jobs/job/choices/act:a']);
});

it('a release and a proof too: they name what the readings came to', async () => {
  const server = new FakeServer(testSheet());
  const store = await openSheet(server);
  const { jobId: _, personId: __, ...reading } = testReading({ placeId: 'body', stationMm: 60, clockDeg: 45, valueMm: 39.7, text: '39.7' });
  TestBed.inject(Outbox).add('job', { ...reading, confirmed: true }, 39.7);
  await store.release({ itemId: null, seen: {} } as never).catch(() => undefined);
  expect(server.changes().map((c) => c.path)).toEqual([expect.stringContaining('readings'), expect.stringContaining('releases')]);
  TestBed.inject(Outbox).add('job', { ...reading, id: 'next', confirmed: true }, 39.7);
  await store.prove({ segmentId: 'body', passed: true, remark: '' }).catch(() => undefined);
  expect(
    server
      .changes()
      .slice(2)
      .map((c) => c.path),
  ).toEqual([expect.stringContaining('readings'), expect.stringContaining('proofs')]);
});
