import { Hand } from './support/hand';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** Inch repairs, each typed by hand into an empty shop as far as Decide. */
const ONE = '0°';
const TWO = '0° and 90°';
const FOUR = '0°, 45°, 90°, 135°';
const ROUND = '0°, 90°, 180°, 270°';
const MIC_1 = 'Outside mic 0 to 1 in';
const MIC_2 = 'Outside mic 1 to 2 in';
const C45 = 'Medium carbon steel (C45';
let shop: TestShop;
let tomas: Visit;
let hand: Hand;
beforeAll(async () => {
  shop = await openShop({ demo: false });
  tomas = await visit(shop);
  hand = new Hand(tomas, shop);
});
afterAll(async () => {
  await tomas.close();
  await shop.close();
});

const inches = (...sizes: readonly string[]): string[] => sizes.map((s) => `${s} in`);

it('six bushes: pressed into the hole, bored so that the shaft runs in them once they have closed in', async () => {
  const { page } = tomas;
  await hand.takeIn('Conveyor bushes', 'in', { pieces: 6 });
  await hand.component('Bush', 'The worn part', 'Leaded bearing bronze');
  await hand.component('Sprocket', 'What it runs in', 'Mild steel (S235JR');
  await hand.component('Shaft', 'What it runs in', C45);
  await hand.place('Bush', 'Bush outside', { length: '1.2', stations: '0.6', clocks: ONE, instrument: MIC_2 });
  await hand.place('Bush', 'Bush bore', { side: 'Inside', length: '1.4', stations: '0.7', clocks: ONE });
  const hole = { side: 'Inside', length: '1.21', stations: '0.25, 1', clocks: FOUR, instrument: 'Telescoping' } as const;
  await hand.place('Sprocket', 'Hole', { ...hole, fits: 'Bush outside' });
  const shaft = { side: 'Outside', length: '1.4', stations: '0.25, 1', clocks: TWO, instrument: MIC_1 } as const;
  await hand.place('Shaft', 'Conveyor shaft', { ...shaft, fits: 'Bush bore' });
  await hand.measure('Hole', ['1.2505', '1.2505', '1.2505', '1.2505', '1.2505', '1.2505', '1.2505', '1.2505']);
  await hand.measure('Conveyor shaft', ['.9985', '.9985', '.9985', '.9985']);
  await page.click('Decide');
  await hand.runs('Hole', 'Bush pressed in');
  // 1.2505 and 0.0005 and 0.001 of it.
  await page.sees('largest the new part may be: 1.2523');
  await hand.runs('Conveyor shaft', 'Turns in grease');
  // 0.9985 and 0.002 and 0.0015 of it.
  await page.sees('smallest the bore may be: 1.0020');
  await page.sees('bore closes in: 0.0010');
  await page.sees('bore to this before it is pressed in: 1.0034');
  await page.sees('house rule bronze bush pressed in');
  await page.fill('Own target: smallest the bore may be', '1.0005');
  await page.sees('1.0005 to 1.0013');
});

it('a link with a bell-mouthed hole: how far the press holds, and where it is loose', async () => {
  const { page } = tomas;
  await hand.takeIn('Trip hammer linkage', 'in');
  await hand.component('Bush', 'The worn part', 'Cast tin bronze');
  await hand.component('Link', 'What it runs in', 'Mild steel (S235JR');
  await hand.place('Bush', 'Bush outside', { length: '1.5', stations: '0.5', clocks: ONE, instrument: MIC_2 });
  await hand.place('Link', 'Reamed hole', {
    ...{ side: 'Inside', length: '1.5', stations: '0.1, 0.75, 1.4', clocks: TWO, instrument: 'Telescoping' },
    fits: 'Bush outside',
  });
  await hand.measure('Reamed hole', ['1.2505', '1.2505', '1.2500', '1.2500', '1.2530', '1.2530']);
  await page.click('Decide');
  await hand.runs('Reamed hole', 'Bush pressed in');
  await page.sees('largest the new part may be: 1.2518');
  // 1.2518 stands 0.0018 over 1.2500 at 0.75 and 0.0012 under 1.2530 at 1.4: even at 0.75 + 0.65 x 0.0018 / 0.0030 = 1.14.
  await page.sees('It is bell-mouthed or tapered');
  await page.sees('Made as large as it may be it holds over 1.1');
  await page.sees('and is loose by 0.0012 in.');
});

it('a chromed rod that is bent, with a thread that is named', async () => {
  const { page } = tomas;
  await hand.takeIn('Log splitter rod', 'in', { hazards: ['Trapped pressure'] });
  await hand.component('Rod', 'The worn part', 'Chromed piston rod');
  await hand.place('Rod', 'Line', {
    ...{ kind: 'Straightness', length: '30', stations: '2, 15, 28', clocks: ROUND, instrument: 'Dial indicator' },
    ...{ choices: { 'Turned in': 'V-blocks' }, fields: { 'V-blocks stand at': '2, 28' } },
  });
  const thread = { kind: 'Thread', at: '32', length: '1.5', instrument: 'Caliper' };
  await hand.place('Rod', 'Rod thread', { ...thread, fields: { 'Pitches that the length spans': '6' } });
  await hand.measure('Line', ['0', '0', '0', '0', '.009 in', '0', '-.009 in', '0', '0', '0', '0', '0']);
  await hand.look('Line');
  await page.sees('bend of line: 0.0180');
  await page.sees('Bow 0.0090 in, half of what the indicator shows; high spot at 15 in along 0°');
  await hand.measure('Rod thread', inches('1.248', '.5'));
  await hand.look('Rod thread');
  await page.sees('1 1/4-12 UNF');
  await page.click('Decide');
  await page.sees('Overloaded');
  await page.sees('rod is bent, 0.0180 in on the indicator');
});

it('an axle that broke at a ring groove which was cut too deep', async () => {
  const { page } = tomas;
  await hand.takeIn('Sweeper axle', 'in');
  await hand.component('Axle', 'The worn part', C45);
  await hand.place('Axle', 'Body', { length: '5', stations: '1, 4', clocks: TWO, instrument: MIC_1 });
  await hand.place('Axle', 'Ring groove', { kind: 'Ring groove', at: '5.5', length: '0.046', instrument: 'Caliper' });
  await hand.place('Axle', 'Half-moon seat', { kind: 'Keyseat', at: '2', length: '1', instrument: 'Caliper' });
  await hand.measure('Body', ['.8745', '.8745', '.8745', '.8744']);
  await hand.measure('Ring groove', inches('.046', '.812'));
  await hand.look('Ring groove');
  await page.sees('has 0.8210 in for a shaft of 0.8750 in: this one is cut 0.0090 in deeper');
  await hand.measure('Half-moon seat', inches('.250', '.331'));
  await hand.look('Half-moon seat');
  await page.sees('A half-moon seat for key No. 808 (1/4 x 1)');
  await page.click('Decide');
  await page.sees('Most likely 7/8 in; without an unworn land it is not told');
});

it('odd screws that stand in the standard’s own list, and a spindle whose thread is square-shouldered', async () => {
  const { page } = tomas;
  await hand.takeIn('Clamp spindle', 'in');
  await hand.component('Spindle', 'The worn part', 'Mild steel (S235JR');
  const thread = { kind: 'Thread', length: '6', instrument: 'Caliper' };
  await hand.place('Spindle', 'Screw', { ...thread, fields: { 'Pitches that the length spans': '12' } });
  await hand.place('Spindle', 'Lead', { ...thread, fields: { 'Pitches that the length spans': '8' } });
  await hand.measure('Screw', inches('.248', '.5'));
  await hand.look('Screw');
  await page.sees('1/4-24 UNS');
  await page.sees('It is a rare one');
  await hand.measure('Lead', inches('.624', '1'));
  await hand.look('Lead');
  await page.sees('5/8-8 ACME');
});

it('a converter shaft, inch and metric on one part, whose first reading is typed in thou', async () => {
  const { page } = tomas;
  await hand.takeIn('Converter shaft', 'in');
  await hand.component('Shaft', 'The worn part', C45);
  const seat = { clocks: TWO, instrument: MIC_1, suspected: ['a bearing ran here'] };
  await hand.place('Shaft', 'Seat', { ...seat, length: '0.6', stations: '0.3' });
  await hand.place('Shaft', 'Land', { ...seat, at: '1.5', length: '0.3', stations: '1.6', wear: 'Never ran' });
  const thread = { kind: 'Thread', at: '6', length: '1', instrument: 'Caliper' };
  await hand.place('Shaft', 'Thread', { ...thread, fields: { 'Pitches that the length spans': '10' } });
  await hand.measure('Land', [{ text: '787.6', doubt: 'longer than anything here', answer: 'Take 0.7876 in (thou)' }, '.7876']);
  await hand.measure('Seat', ['.7831', '.7832']);
  await hand.measure('Thread', ['17.90', '15']);
  await hand.look('Thread');
  await page.sees('M18 x 1.5');
  await page.click('Decide');
  await page.sees('20 mm k6');
  await page.sees('The inner ring turned on its seat');
  await page.sees('largest the seat may be: 0.7878');
  await page.sees('20.011 mm');
  await page.sees('j6, k5, k6 hold it');
});

it('an axle whose keyseat is narrower than the book has it for that shaft', async () => {
  const { page } = tomas;
  await hand.takeIn('Belt grinder axle', 'in');
  await hand.component('Axle', 'The worn part', 'Mild steel (S235JR');
  const seat = { length: '0.6', clocks: TWO, instrument: MIC_1, suspected: ['a bearing ran here'] };
  await hand.place('Axle', 'Seat, pulley end', { ...seat, at: '2', stations: '2.3' });
  await hand.place('Axle', 'Keyseat', { kind: 'Keyseat', at: '4', length: '1', instrument: 'Caliper' });
  await hand.measure('Seat, pulley end', ['.9847', '.9846']);
  await hand.measure('Keyseat', inches('3/16', '.103'));
  await hand.look('Keyseat');
  await page.sees('A seat for key 3/16 x 3/16');
  await page.sees('which has 1/4 x 1/4 for a shaft of 0.9847 in');
  await page.click('Decide');
  await page.sees('k5 on a bearing bore of 25 mm');
  await page.sees('largest the seat may be: 0.9847');
});

it('a pin whose taper is told, and the drum that it holds', async () => {
  const { page } = tomas;
  await hand.takeIn('Winch drum', 'in');
  await hand.component('Taper pin', 'The worn part', C45);
  await hand.component('Drum', 'What it runs in', 'Grey cast iron (EN-GJL-250)');
  await hand.place('Taper pin', 'Pin', { kind: 'Taper', length: '1.9', stations: '0, 1.9', clocks: ONE, instrument: MIC_1 });
  await hand.place('Drum', 'Pin hole', { side: 'Inside', length: '0.2', stations: '0.1', clocks: TWO, instrument: 'Caliper' });
  await hand.measure('Pin', ['.2492', '.2888']);
  await hand.look('Pin');
  // 0.0396 over 1.9 in: the quarter inch per foot of a standard taper pin.
  await page.sees('taper of pin, per foot: 0.2501');
  await page.seesNot('to see where it steps');
  await hand.measure('Pin hole', inches('.250', '.262'));
  await page.click('Decide');
  await page.sees('may crack the hub: measure closer');
  await hand.runs('Pin hole', 'Slides');
  await page.seesNot('would crack the hub');
});
