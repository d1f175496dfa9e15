import { STARTING_HOUSE_RULES } from '../../book/fits';
import { newPart } from '../../making/part';
import type { Bar } from '../../making/stock';
import { newItem, type ItemChoice, type ItemKind } from './items';
import {
  NO_DETAIL,
  type ChoiceRecord,
  type ComponentRecord,
  type ComponentVerdict,
  type PlaceRecord,
  type InstrumentRecord,
  type JobSheet,
  type ReadingRecord,
  type Shop,
} from './records';

export const testInstrument = (id: string, more: Partial<InstrumentRecord> = {}): InstrumentRecord => ({
  id,
  name: 'Outside mic 25 to 50',
  kind: 'micrometer',
  unit: 'mm',
  uMm: null,
  repeatMm: null,
  resolutionMm: null,
  biasMm: 0,
  rangeLowMm: 25,
  rangeHighMm: 50,
  calibratedOn: null,
  dueOn: null,
  version: 1,
  ...more,
});

/** A bar of C45, 60 by 900, unless told otherwise. */
export const testBar = (id: string, more: Partial<Bar> = {}): Bar => ({
  id,
  shape: 'round',
  materialId: 'steel-c45',
  diameterMm: 60,
  innerMm: null,
  finish: 'black',
  lengthMm: 900,
  pieces: 1,
  place: 'rack A2',
  priceMinor: null,
  version: 1,
  ...more,
});

/** A shop and a job for tests: a headed pin in the barrel of the published check case. */
export const testShop: Shop = {
  card: { name: 'Ferry Lane Works', unit: 'mm', decimalMark: '.', walked: [], warranty: '', version: 1 },
  people: [{ id: 'tomas', name: 'Tomas Quill', role: 'machinist', gone: false, access: 'owner', version: 1 }],
  instruments: [
    testInstrument('tele', { name: 'Telescoping gauge and mic', kind: 'telescoping-gauge', rangeLowMm: 8, rangeHighMm: 150 }),
    testInstrument('mic'),
  ],
  instrumentChecks: [],
  lathes: [
    {
      id: 'gap-bed',
      name: 'Gap-bed lathe',
      cross: { unit: 'in', perTurn: 0.2, perLine: 0.001, reads: 'radius' },
      carriage: { unit: 'in', perTurn: 0.5, perLine: 0.005 },
      readout: null,
      gearsRpm: [36, 60, 100, 170, 280, 460, 760, 1200],
      swingMm: 330,
      centresMm: 760,
    },
  ],
  houseRules: STARTING_HOUSE_RULES.map((rule) => ({ ...rule, version: 1 })),
  rack: [testBar('bar60', {})],
  machines: [],
  drillSets: [],
  tools: [],
  rates: null,
  hours: null,
  took: [],
};

export const testJob: JobSheet['job'] = {
  id: 'job',
  number: 1042,
  customerId: 'ferry',
  title: 'Ramp hinge pin',
  machine: 'Lake ferry ramp',
  complaint: 'Ramp bangs when a car drives on.',
  want: 'like-for-like',
  changes: [],
  restBy: '',
  askBefore: 'Ask above 400.',
  pieces: 2,
  promisedOn: '2026-12-04',
  unit: 'mm',
  shopTempC: 20,
  hazards: ['vessel'],
  receivedAt: '2026-11-18T08:00:00Z',
  version: 1,
};

const component = (id: string, role: ComponentRecord['role'], axisOffsetMm: number, materialId: string): ComponentRecord => ({
  id,
  jobId: 'job',
  parentId: null,
  name: id === 'pin' ? 'Hinge pin' : 'Ramp barrel',
  role,
  materialId,
  axisOffsetMm,
  verdict: role === 'worn' ? 'remake' : 'reuse',
  asFound: '',
  version: 1,
});

export const testPlace = (id: string, more: Partial<PlaceRecord>): PlaceRecord => ({
  id,
  jobId: 'job',
  componentId: 'pin',
  name: id,
  kind: 'diameter',
  suspicions: [],
  detail: NO_DETAIL,
  side: 'outside',
  startMm: 0,
  lengthMm: 40,
  land: 'worn',
  matesPlaceId: null,
  stationsMm: [5, 20, 35],
  clocksDeg: [0, 45, 90, 135],
  instrumentId: 'tele',
  version: 1,
  ...more,
});

let counter = 0;
export const testReading = (more: Partial<ReadingRecord>): ReadingRecord => ({
  id: `r${++counter}`,
  jobId: 'job',
  purpose: 'found',
  placeId: null,
  segmentId: null,
  itemId: more.segmentId ? 'job' : null,
  piece: 1,
  afterActId: null,
  quantity: 'size',
  stationMm: 0,
  clockDeg: 0,
  text: String(more.valueMm),
  unit: 'mm',
  valueMm: 0,
  instrumentId: 'tele',
  partTempC: null,
  dial: null,
  personId: 'tomas',
  takenAt: '2026-11-20T10:00:00Z',
  supersedesId: null,
  withdrawn: false,
  ...more,
});

export const testChoice = (key: string, value: unknown): ChoiceRecord => ({
  jobId: 'job',
  key,
  value,
  reason: '',
  personId: 'tomas',
  at: '2026-11-21T10:00:00Z',
  version: 1,
});

const BARREL = [
  [5, 40.31, 40.24, 40.17, 40.24],
  [20, 40.28, 40.22, 40.16, 40.22],
  [35, 40.22, 40.19, 40.16, 40.19],
] as const;

export const barrelReadings = (): ReadingRecord[] =>
  BARREL.flatMap(([stationMm, ...sizes]) =>
    sizes.map((valueMm, i) => testReading({ placeId: 'barrel', stationMm, clockDeg: i * 45, valueMm })),
  );

/** The check case measured but not decided; `more` replaces parts of it. */
export const testSheet = (more: Partial<JobSheet> = {}): JobSheet => ({
  job: testJob,
  customer: { id: 'ferry', name: 'Osmere lake ferry', contact: '' },
  components: [component('pin', 'worn', 0, 'steel-c45'), component('barrel-part', 'mate', 36, 'steel-mild')],
  places: [
    testPlace('body', { name: 'Body', stationsMm: [60], clocksDeg: [0, 90], instrumentId: 'mic' }),
    testPlace('land', { name: 'Land', land: 'unworn', stationsMm: [14], clocksDeg: [0], instrumentId: 'mic' }),
    testPlace('barrel', { name: 'Barrel bore', componentId: 'barrel-part', side: 'inside', matesPlaceId: 'body' }),
  ],
  readings: [
    testReading({ placeId: 'body', stationMm: 60, clockDeg: 0, valueMm: 39.67, instrumentId: 'mic' }),
    testReading({ placeId: 'body', stationMm: 60, clockDeg: 90, valueMm: 39.69, instrumentId: 'mic' }),
    testReading({ placeId: 'land', stationMm: 14, clockDeg: 0, valueMm: 39.975, instrumentId: 'mic' }),
    ...barrelReadings(),
  ],
  choices: [],
  releases: [],
  proofs: [],
  notes: [],
  photos: [],
  quotes: [],
  ...more,
});

/** The headed pin drawn so that its body fits the barrel. */
export const drawnPin = () => {
  const pin = newPart('headed-pin', 'Hinge pin', 40, 120);
  return { ...pin, outside: pin.outside.map((s) => (s.id === 'body' ? { ...s, fitsPlaceIds: ['barrel'] } : s)) };
};

/** The check case with what becomes of the pin and of the barrel. */
export const verdicts = (pin: ComponentVerdict | null, barrel: ComponentVerdict | null): JobSheet => {
  const sheet = testSheet();
  return { ...sheet, components: sheet.components.map((c) => ({ ...c, verdict: c.id === 'pin' ? pin : barrel })) };
};

export const withChoices = (sheet: JobSheet, ...more: readonly (readonly [string, unknown])[]): JobSheet => ({
  ...sheet,
  choices: [...sheet.choices, ...more.map(([key, value]) => testChoice(key, value))],
});

/** An item behind those of the check case. */
export const testItem = (kind: ItemKind, name: string, more: Partial<ItemChoice> = {}): ItemChoice => ({
  ...newItem(kind, name, [], 5),
  ...more,
});
