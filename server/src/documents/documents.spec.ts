import { BLOCK_KINDS, inMark, itemSheet, workOut, type JobSheet } from '@iron-patch/core';
import { drawnPin, testChoice, testReading, testSheet, testShop } from '@iron-patch/core/testing';
import { TEXT_LIMITS } from '@iron-patch/contract';
import sharp from 'sharp';
import { textOfPdf } from '../testing/text-of-pdf';
import { deliveryNote } from './delivery-note';
import { drawingPdf } from './drawing';
import { firstArticlePaper } from './first-article';
import { outsideSlipPaper } from './outside-slip';
import { jobSlip } from './job-slip';
import { label } from './label';
import { measuredRows } from './measured-rows';
import { printed } from './fonts';
import { report } from './report';

const drawn = (more: Partial<JobSheet> = {}): JobSheet =>
  testSheet({
    choices: [testChoice('fit:barrel', { schoolId: 'grease', hole: 'keep', truedMm: null }), testChoice('part', drawnPin())],
    ...more,
  });

describe('a face that holds every sign', () => {
  it.each(['⌀ 40', 'Ōsumi', '“quoted” – dash', '渡船', '한국', 'Жук, Ωλ', 'ไทย', '20 °C ±0.01'])('%s', (text) =>
    expect(printed(text, 'regular').text).toBe(text),
  );

  it('what no face holds is told apart from nothing', () => expect(printed('a 🦊 b', 'bold').text).toBe('a ? b'));
});

const slipText = (sheet: JobSheet, shop = testShop): Promise<string[]> => jobSlip(sheet, workOut(sheet, shop), shop).then(textOfPdf);
const reportText = (sheet: JobSheet, shop = testShop): Promise<string[]> =>
  report(sheet, workOut(sheet, shop), shop, 'UTC', []).then(textOfPdf);
const squeezed = (text: string): string => text.replace(/\s+/g, '');

describe('the drawing', () => {
  const sheetOf = (sheet: JobSheet) => itemSheet(sheet, workOut(sheet, testShop), testShop, (at) => at.slice(0, 10))!;
  it('is one page with its sizes, its title block and its release, decimals in the mark of the shop', async () => {
    const release = { id: 'r', jobId: 'job', itemId: 'job', figures: [], personId: testShop.people[0]!.id, at: '2026-11-27T09:00:00Z' };
    const [page, ...more] = textOfPdf(await drawingPdf(sheetOf(drawn({ releases: [release, release] })), (t) => inMark(t, ',')));
    expect(more).toEqual([]);
    const text = squeezed(page!);
    for (const words of [
      'Body⌀40,033to40,049',
      '0,00',
      '120,00',
      'Mediumcarbonsteel',
      `2,2026-11-27,${testShop.people[0]!.name.replace(' ', '')}`,
      'ISO2768-1',
    ])
      expect(text).toContain(words);
  });
  it('says so while nothing is released, and is of no part with problems', async () => {
    expect(squeezed(textOfPdf(await drawingPdf(sheetOf(drawn()), (t) => t))[0]!)).toContain('notreleased');
    const bad = testSheet({ choices: [testChoice('part', { ...drawnPin(), outside: [] })] });
    expect(sheetOf(bad)).toBeNull();
  });
});

it('the first-article report has every dimension, with its limits, and says where nothing is made to a drawing', async () => {
  const paper = (sheet: JobSheet) => firstArticlePaper(sheet, workOut(sheet, testShop), testShop, 'UTC').then(textOfPdf);
  const [page] = await paper(drawn());
  for (const words of ['First-articlereport', 'Body', '40.033', '40.049', 'notread']) expect(squeezed(page!)).toContain(words);
  expect(squeezed((await paper(testSheet()))[0]!)).toContain('Nothingofthisjobismadetoadrawing.');
});

it('the slip for another shop tells what is to be treated, or that nothing is', async () => {
  const paper = (sheet: JobSheet) => outsideSlipPaper(sheet, workOut(sheet, testShop), testShop).then(textOfPdf);
  const hard = {
    id: 'h',
    kind: 'hardness',
    on: 'body',
    name: 'Hardness',
    scale: 'HRC',
    from: 58,
    to: 62,
    how: 'case',
    remark: 'threads soft',
  };
  const [page] = await paper(testSheet({ choices: [testChoice('part', { ...drawnPin(), features: [hard] })] }));
  for (const words of ['Body', 'casehardened,58to62HRC', 'threadssoft']) expect(squeezed(page!)).toContain(words);
  expect(squeezed((await paper(drawn()))[0]!)).toContain('Nothingofthisjobgoestoanothershop.');
});

describe('papers', () => {
  it('of a plain job are one page each', async () => {
    expect(await slipText(drawn())).toHaveLength(1);
    expect(await reportText(drawn())).toHaveLength(1);
  });

  it('of what is turned tell its passes down to the middle of its limits, how fast, and what is put on the cut', async () => {
    const text = squeezed((await slipText(drawn()))[0]!);
    // Between 40.033 and 40.049.
    expect(text).toMatch(/Body:(rough[^;]+;\d+rpm,feed0\.250\.)?finish[^;]*40\.041at[^;]+;\d+rpm,feed0\.130\./);
    expect(text).toContain('Turningandboring:emulsion');
  });

  it('of a block have its stock, its faces, its hole table, and on the report what it was tried with', async () => {
    const sizes = { lengthMm: 60, widthMm: 40, heightMm: 30 };
    const hole = {
      ...BLOCK_KINDS.hole.start(sizes, 'top'),
      id: 'h',
      kind: 'hole',
      on: 'top',
      name: 'Tapped hole',
      ...{ atMm: 21, upMm: 14 },
      diameterMm: 6.8,
      thread: 'M8',
      fitsPlaceIds: [],
    };
    const part = {
      name: 'Jaw',
      materialId: 'steel-mild',
      outside: [],
      bores: [],
      features: [],
      limits: {},
      block: { ...sizes, cuts: [hole] },
    };
    const tried = { measuredMm: null, gaugedWith: 'plug gauge', remark: '', personId: 'tomas', at: '', passed: true };
    const proof = { ...tried, id: 'p', jobId: 'job', itemId: 'job', piece: 1, segmentId: 'h.pitch-diameter' };
    const sheet = testSheet({ choices: [testChoice('part', part)], proofs: [proof] });
    const slip = squeezed((await slipText(sheet)).join());
    expect(slip).toContain('Atleast64.0x44.0x34.0mm');
    expect(slip).toContain('Fromthetop');
    expect(slip).toContain('Tappedhole,pitchdiameter');
    // A finder of 10 touches 5 before each edge.
    for (const words of ['ATappedhole,top', '21.000fromtheleft', 'go26.000', '14.000fromthefront', 'go19.000'])
      expect(slip).toContain(words);
    expect(squeezed((await reportText(sheet)).join())).toContain('tried:pluggauge');
  });

  it('of a job with nothing in it say so', async () => {
    const sheet = testSheet({ components: [], places: [], readings: [] });
    expect((await slipText(sheet)).join()).toContain('Nothing is drawn yet');
    expect((await reportText(sheet)).join()).toContain('The cause is not on record yet');
  });

  it('of a comma shop have commas, and what the customer said as they said it', async () => {
    const shop = { ...testShop, card: { ...testShop.card, decimalMark: ',' as const } };
    const sheet = drawn();
    const choices = [...sheet.choices, testChoice('route', { cause: 'Note 4.1 says dry.', route: 'As in note 5.2.' })];
    const job = { ...sheet.job, title: 'Pin 6.3', complaint: 'Shelf 3.2, knocks.' };
    const text = (await reportText({ ...sheet, job, choices }, shop)).join();
    expect(text).toMatch(/\d+,\d{3} \(\d,\d{4}\)/);
    expect(text.match(/\d\.\d+/g)).toEqual(['6.3', '3.2', '4.1', '5.2']);
  });

  it('have the customer’s name in its own script', async () => {
    const sheet = drawn();
    const named = { ...sheet, customer: { ...sheet.customer, name: '渡船 Ōsumi' } };
    expect((await reportText(named)).join()).toContain('渡船 Ōsumi');
    expect((await label(named, 'http://shop/jobs/1').then(textOfPdf)).join()).toContain('渡船 Ōsumi');
  });

  const long = `${'Word '.repeat(700)}the last word`;

  it('with the longest texts, many places and every caution go on over the pages: heads again, every word there', async () => {
    const { job } = testSheet();
    const base = drawn();
    const sheet: JobSheet = {
      ...base,
      job: {
        ...job,
        title: long.slice(0, 120),
        machine: long.slice(0, 120),
        complaint: long,
        hazards: ['lifting', 'vessel', 'pressure', 'spring', 'fuel', 'steering', 'welding', 'press', 'old-linings'],
      },
      places: [...base.places, ...Array.from({ length: 40 }, (_, i) => ({ ...base.places[0]!, id: `more${i}`, name: `Place ${i}` }))],
      readings: [
        ...base.readings,
        ...Array.from({ length: 40 }, (_, i) => testReading({ placeId: `more${i}`, stationMm: 60, valueMm: 40 })),
      ],
      choices: [
        ...base.choices.filter((c) => c.key !== 'part'),
        testChoice('part', {
          ...drawnPin(),
          features: [],
          outside: Array.from({ length: 24 }, (_, i) => ({
            ...drawnPin().outside[1]!,
            id: `s${i}`,
            name: `Step ${i}`,
            fitsPlaceIds: [],
          })),
        }),
        testChoice('route', { cause: long, route: long }),
        testChoice('returned', {
          lesson: long,
          stillToDo: long,
          outcome: 'not-passed',
          beforeUse: long.slice(0, TEXT_LIMITS.large),
          unproved: long,
          undone: long,
        }),
      ],
    };
    const said = await reportText(sheet);
    expect(said.length).toBeGreaterThan(2);
    const all = said.map((page) => page.replace(/\n?Report \d+, page \d+ of \d+/, '')).join('\n');
    // Complaint, cause, route, what was not proved, what was not done, what is still to do.
    expect(squeezed(all).match(/thelastword/g)).toHaveLength(6);
    for (let i = 0; i < 40; i++) expect(all).toContain(`Place ${i}`);
    expect(squeezed(all)).toContain(squeezed(long.slice(0, TEXT_LIMITS.large)));
    // The table of places runs over a page, and its head comes again on it.
    const first = said.findIndex((p) => p.includes('Place 0'));
    const last = said.findIndex((p) => p.includes('Place 39'));
    expect(last).toBeGreaterThan(first);
    for (const page of said.slice(first, last + 1)) expect(page).toContain('smallest');
    said.forEach((page, i) => expect(page).toContain(`page ${i + 1} of ${said.length}`));
    const slip = await slipText(sheet);
    for (let i = 0; i < 24; i++) expect(slip.join()).toContain(`Step ${i}`);
    for (const p of [...said, ...slip]) expect(p.length).toBeGreaterThan(40);
  });

  it('a tag that must not be used without a warning has all of it, overleaf where the front is too small', async () => {
    const beforeUse = `${'Check the lock. '.repeat(30)}Then ask Maud.`;
    const handed = { lesson: '', stillToDo: '', outcome: 'not-passed', beforeUse, unproved: '', undone: '' };
    const sheet = testSheet({ choices: [testChoice('returned', handed)] });
    const tag = await label(sheet, 'http://shop/jobs/1').then(textOfPdf);
    expect(tag[0]).toContain('NOT PASSED');
    expect(squeezed(tag.slice(1).join(''))).toContain(squeezed(beforeUse));
    expect(await label(testSheet(), 'http://shop/jobs/1').then(textOfPdf)).toHaveLength(1);
  });
});

it('tells a place as it was found and, beside it, as it was after an act', () => {
  const base = testSheet();
  const barrel = base.places.find((f) => f.id === 'barrel')!;
  const act = { componentId: barrel.componentId, kind: 'bore', where: '', state: 'done', override: 'told', removed: false };
  const bored = [0, 45, 90, 135].map((clockDeg) =>
    testReading({ placeId: 'barrel', stationMm: 5, clockDeg, valueMm: 40.5, afterActId: 'a1' }),
  );
  const sheet = testSheet({ choices: [testChoice('act:a1', act)], readings: [...base.readings, ...bored] });
  const rows = measuredRows(workOut(sheet, testShop).places, (mm) => mm.toFixed(2), 'mm').filter((r) => r[0]!.startsWith('Barrel'));
  expect(rows.map((r) => [r[0], r[1], r[2], r[4]])).toEqual([
    ['Barrel bore', '40.16', '40.31', '12'],
    ['Barrel bore, after act 1, bored', '40.50', '40.50', '4'],
  ]);
});

describe('what a customer takes along', () => {
  const handed = {
    lesson: 'x',
    stillToDo: 'Grease weekly',
    outcome: 'passed',
    beforeUse: '',
    unproved: '',
    undone: '',
    oldParts: 'In the box, kept a month',
  };
  const warranted = { ...testShop, card: { ...testShop.card, warranty: 'Twelve months on what we made.' } };
  const note = async (sheet: JobSheet, shop = testShop): Promise<string> =>
    textOfPdf(await deliveryNote(sheet, workOut(sheet, shop), shop, 'UTC', '2026-12-01'))
      .join(' ')
      .replace(/\s+/g, ' ');

  it('says what is handed over, the old parts, what is still to do, the shop’s warranty, and has lines to sign on', async () => {
    const text = await note(drawn({ choices: [...drawn().choices, testChoice('returned', handed)] }), warranted);
    for (const words of [
      'Delivery note',
      'made new',
      'In the box, kept a month',
      'Grease weekly',
      'Twelve months on what we made.',
      'Signature',
    ])
      expect(text).toContain(words);
    const before = await note(testSheet());
    expect(before).toContain('1 Dec 2026');
    expect(before).not.toContain('Warranty');
  });

  it('says large that it is not passed', async () => {
    const not = { ...handed, outcome: 'not-passed', beforeUse: 'Have the brake tested' };
    const text = await note(testSheet({ choices: [testChoice('returned', not)] }));
    expect(text).toContain('HANDED OVER, NOT PASSED');
    expect(text).toContain('Have the brake tested');
    const soft = (size: string, ordered: boolean) =>
      testChoice(`soft:${size}`, { componentId: null, what: 'o-ring', size, count: 2, ordered, removed: false });
    const left = testChoice('returned', { ...handed, undone: 'No plater open before spring' });
    const parts = await note(testSheet({ choices: [left, soft('25x3', true), soft('30x3', false)] }));
    expect(parts).toContain('Planned and not done: No plater open before spring');
    // What nobody ordered is not handed over.
    expect([parts.includes('o ring 25x3'), parts.includes('30x3')]).toEqual([true, false]);
  });

  it('a hand-over of before old parts were asked for says nothing of them', async () => {
    const { oldParts: _, ...old } = handed;
    const sheet = testSheet({ choices: [testChoice('returned', old)] });
    expect((await reportText(sheet)).join('')).not.toContain('Old parts');
    expect(await note(sheet)).toContain('Old parts Nothing is on record.');
  });

  it('pictures of before and after stand on the report, and the slip has the hours against the estimate', async () => {
    const jpeg = await sharp({ create: { width: 800, height: 300, channels: 3, background: '#886644' } })
      .jpeg()
      .toBuffer();
    const both = await report(testSheet(), workOut(testSheet(), warranted), warranted, 'UTC', [
      { name: 'Before', jpeg },
      { name: 'After', jpeg },
    ]);
    expect(textOfPdf(both).join(' ')).toContain('Before and after');
    expect(both.toString('latin1').match(/\/Subtype \/Image/g)).toHaveLength(2);
    const spent = { act: 'turn', itemId: null, minutes: 90, day: '2026-11-27', remark: '', removed: false };
    const rates = { currency: 'crowns', hourMinor: 4000, machineHourMinor: {}, kgMinor: {}, wastePercent: 0, markUpPercent: 0 };
    const priced = { ...testShop, rates: { ...testShop.rates, ...rates } as typeof testShop.rates };
    const slip = (await slipText(drawn({ choices: [...drawn().choices, testChoice('spent:a', spent)] }), priced)).join(' ');
    expect(slip).toContain('Time against the estimate');
    // An hour and a half at 40.
    expect(slip).toContain('as spent 60.00 crowns');
    expect((await slipText(drawn())).join(' ')).not.toContain('Time against the estimate');
  });
});
