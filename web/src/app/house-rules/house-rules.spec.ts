import type { HouseRuleChange, MovedJob } from '@iron-patch/core';
import { testShop } from '@iron-patch/core/testing';
import { FakeServer, problem } from '../../testing/fake-server';
import { breathe, openSheet, press, show, type, words } from '../../testing/open-sheet';
import { HouseRules } from './house-rules';
import { RuleChart } from './rule-chart';

let server: FakeServer;
beforeEach(async () => {
  server = new FakeServer();
  await openSheet(server);
});

const grease = testShop.houseRules.find((r) => r.id === 'grease')!;
const moved: MovedJob[] = [
  {
    jobId: 'job',
    number: 1001,
    title: 'Ramp hinge pin',
    unit: 'mm',
    released: true,
    moves: [{ key: 'a', label: 'Barrel bore: largest the new part may be', beforeMm: 40.049, afterMm: 40.03 }],
  },
];
const stored: HouseRuleChange = {
  ruleId: 'grease',
  version: 2,
  rule: { ...grease, baseMm: 0.07 },
  because: 'Grit.',
  personId: 'tomas',
  at: '2026-11-25T09:00:00Z',
};
const base = 'input[inputmode=decimal]';

it('opens on the house default with its numbers at usual diameters', async () => {
  const text = words(await show(HouseRules));
  expect(text).toContain('Running in grease or dirt, house default 0.051 + 0.0015 per mm');
  expect(text).toContain('at 25: +0.088');
});

it('shows what a change moves before it can be accepted, and asks why', async () => {
  server.replies.push({ status: 200, body: { moved, weighed: 1, open: 1, last: null } });
  const fixture = await show(HouseRules);
  expect(words(fixture)).not.toContain('Put it in force');
  await type(fixture, base, '0.07');
  await press(fixture, 'See what it moves');
  expect(words(fixture)).toContain('This moves 1 open job');
  expect(words(fixture)).toContain('released: its numbers stay');
  expect(words(fixture)).toContain('40.049 mm 40.030 mm');
  await press(fixture, 'Put it in force');
  expect(words(fixture)).toContain('Why it is changed is needed.');
  server.replies.push({ status: 200, body: stored });
  await type(fixture, 'input[name=because]', 'Grit.');
  await press(fixture, 'Put it in force');
  const put = server.changes().at(-1)!;
  expect([put.method, put.path, put.headers['If-Match']]).toEqual(['PUT', '/api/house-rules/grease', '"v1"']);
  expect(put.body).toMatchObject({ baseMm: 0.07, because: 'Grit.', removed: false });
  expect(words(fixture)).toContain('Running in grease or dirt is in force.');
});

it('weighs many open jobs some at a time, says how far it is, and can be stopped', async () => {
  const step = (weighed: number, last: string | null) => ({ status: 200, body: { moved: last ? moved : [], weighed, open: 40, last } });
  server.replies.push(step(20, 'j20'), step(40, null));
  const fixture = await show(HouseRules);
  await type(fixture, base, '0.07');
  await press(fixture, 'See what it moves');
  await fixture.whenStable();
  expect(server.changes().map((a) => a.path.split('?')[1])).toEqual(['after=', 'after=j20']);
  expect(words(fixture)).toContain('This moves 1 open job');

  await type(fixture, base, '0.08');
  const asked: (() => void)[] = [];
  const real = globalThis.fetch;
  globalThis.fetch = ((path: string, init?: RequestInit) =>
    path.includes('preview') ? new Promise((resolve) => asked.push(() => resolve(real(path, init)))) : real(path, init)) as typeof fetch;
  server.replies.push(step(20, 'j20'), step(40, null));
  // While an answer is out the page is not at rest: nothing here waits for it to be.
  void press(fixture, 'See what it moves');
  await breathe();
  asked[0]!();
  await new Promise((r) => setTimeout(r, 20));
  expect(words(fixture)).toContain('20 of 40 open jobs weighed.');
  void press(fixture, 'Stop');
  asked[1]!();
  await new Promise((r) => setTimeout(r, 20));
  await fixture.whenStable();
  expect(words(fixture)).not.toContain('This moves');
  expect(words(fixture)).not.toContain('weighed');
});

it('takes what was shown back as soon as a number changes again', async () => {
  server.replies.push({ status: 200, body: { moved, weighed: 1, open: 1, last: null } });
  const fixture = await show(HouseRules);
  await type(fixture, base, '0.07');
  await press(fixture, 'See what it moves');
  await type(fixture, base, '0.08');
  expect(words(fixture)).not.toContain('This moves');
  expect(words(fixture)).toContain('See what it moves');
});

it('says at its field what is wrong, and asks the server nothing', async () => {
  const fixture = await show(HouseRules);
  await type(fixture, 'input[name=rate]', 'steep');
  await type(fixture, 'input[name=name]', '');
  await press(fixture, 'See what it moves');
  expect(words(fixture)).toContain('Name is needed.');
  expect(words(fixture)).toContain('steep');
  expect(server.changes()).toEqual([]);
});

it('shows somebody else’s change, and saves over it only when told to', async () => {
  const fixture = await show(HouseRules);
  server.replies.push(
    { status: 200, body: { moved: [], weighed: 0, open: 0, last: null } },
    problem(412, { current: { ...stored, because: 'Theirs.' } }),
    {
      status: 200,
      body: { ...stored, version: 3 },
    },
  );
  await type(fixture, base, '0.09');
  await press(fixture, 'See what it moves');
  expect(words(fixture)).toContain('This moves no open job.');
  await type(fixture, 'input[name=because]', 'Mine.');
  await press(fixture, 'Put it in force');
  expect(words(fixture)).toContain('Tomas Quill changed this rule meanwhile: 0.070 + 0.0015 per mm. “Theirs.”');
  await press(fixture, 'Save mine over it');
  expect(server.changes().at(-1)!.headers['If-Match']).toBe('"v2"');
});

it('keeps what was typed when the server is silent', async () => {
  const fixture = await show(HouseRules);
  server.replies.push('silence');
  await type(fixture, base, '0.09');
  await press(fixture, 'See what it moves');
  expect(words(fixture)).toContain('What you typed is still here');
  expect(fixture.nativeElement.querySelector(base).value).toBe('0.09');
});

it('adds a rule of its own, and will not offer to withdraw the default', async () => {
  const fixture = await show(HouseRules);
  expect(words(fixture)).not.toContain('Withdraw this rule');
  await press(fixture, 'Light tap');
  expect(words(fixture)).toContain('Withdraw this rule');
  await press(fixture, 'New rule');
  await type(fixture, 'input[name=name]', 'Barn door');
  await type(fixture, 'input[name=reason]', 'For the barn.');
  server.replies.push(
    { status: 200, body: { moved: [], weighed: 0, open: 0, last: null } },
    { status: 201, body: { ...stored, version: 1 } },
  );
  await press(fixture, 'See what it moves');
  await type(fixture, 'input[name=because]', 'Asked for.');
  await press(fixture, 'Add it');
  expect(server.changes().at(-1)!.headers['If-None-Match']).toBe('*');
});

it('draws each rule over the diameter, the changed one beside what it was', async () => {
  const fixture = await show(RuleChart, { rules: testShop.houseRules, draft: { ...grease, baseMm: 0.1 }, unit: 'mm' });
  expect(fixture.nativeElement.querySelectorAll('.rule')).toHaveLength(testShop.houseRules.length + 1);
  const [on, old] = [fixture.nativeElement.querySelector('.rule.on'), fixture.nativeElement.querySelector('.rule.old')] as SVGLineElement[];
  // More play lies higher on the picture.
  expect(Number(on!.getAttribute('y1'))).toBeLessThan(Number(old!.getAttribute('y1')));
});
