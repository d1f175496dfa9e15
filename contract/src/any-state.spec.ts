import {
  ACT_KINDS,
  CAUSE_IDS,
  choiceKey,
  PLACE_KIND_IDS,
  PLACE_KINDS,
  FINDING_IDS,
  MATERIALS,
  PAIR_KINDS,
  QUANTITY_IDS,
  seededRandom,
  SOFT_KINDS,
  SUSPICIONS,
  workOut,
  type ChoiceRecord,
  type PlaceRecord,
  type JobSheet,
  type ReadingRecord,
  AFTER_HOLD_IDS,
  BORING_IDS,
  TURNED_AGAIN_IDS,
  WAY_IDS,
} from '@iron-patch/core';
import { drawnPin, testChoice, testPlace, testReading, testSheet, testShop } from '@iron-patch/core/testing';
import type { AnyObjectSchema } from 'yup';
import { anyPart } from './testing/any-part';
import { check } from './check';
import { choiceInput } from './choice';
import { placeInput } from './place';

/**
 * Whatever can be stored of a job, in whatever order it was stored, withdrawn or taken off, is worked out: by random jobs whose every part
 * passes the contract.
 */
class Die {
  private readonly uniform: () => number;
  constructor(seed: number) {
    this.uniform = seededRandom(seed);
  }
  chance = (p: number): boolean => this.uniform() < p;
  pick = <T>(items: readonly T[]): T => items[Math.floor(this.uniform() * items.length)]!;
  id = (): string => {
    const hex = Array.from({ length: 32 }, () => Math.floor(this.uniform() * 16).toString(16)).join('');
    return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20)}`;
  };
  /** Plain sizes mostly; now and then the ends of what is taken, and what is far too small. */
  mm = (from = 0, to = 20_000): number => {
    const value = this.pick([0, 0.001, 0.4, 2, 3.2, 5, 9.525, 12.7, 19.05, 25, 39.9, 40, 40.16, 62, 120, 400, 2500, 20_000, from, to]);
    return Math.min(Math.max(this.chance(0.5) ? value : value * (0.5 + this.uniform()), from), to);
  };
  degrees = (): number => this.pick([0, 0, 22.5, 45, 60, 90, 120, 135, 180, 270, 359.99]);
  maybe = <T>(value: T): T | null => (this.chance(0.5) ? value : null);
  some = <T>(most: number, make: () => T): T[] => Array.from({ length: Math.floor(this.uniform() * (most + 1)) }, make);
}

const valid = <T>(schema: AnyObjectSchema, body: T): T | null => (check(schema, body).ok ? body : null);
const sure = <T>(make: () => T | null): T => {
  for (let i = 0; i < 200; i++) {
    const made = make();
    if (made !== null) return made;
  }
  throw new Error('Nothing that the contract takes.');
};

interface World {
  readonly die: Die;
  readonly components: JobSheet['components'];
  readonly places: readonly PlaceRecord[];
  readonly acts: readonly string[];
}

function anyPlace({ die, components, places }: World): PlaceRecord {
  return sure(() => {
    const kind = die.chance(0.6) ? 'diameter' : die.pick(PLACE_KIND_IDS);
    const holding = die.pick(['v-blocks', 'centres', 'chuck', null] as const);
    const input = {
      componentId: die.pick(components).id,
      name: die.pick(['Body', 'Bore', 'Ring groove', 'Land', 'x']),
      kind,
      suspicions: die.some(2, () => die.pick(SUSPICIONS)),
      detail: {
        vDeg: die.pick([null, 60, 72, 90, 108, 120]),
        holding,
        supportsMm: die.some(3, () => die.mm()),
        ringMm: die.maybe(die.mm(0.1, 100)),
        grooveWidthMm: die.maybe(die.mm(0.1, 100)),
        ringRestsOn: die.pick(['near', 'far', null] as const),
        ringFace: die.pick(['near', 'far', null] as const),
        pitches: die.pick([null, 1, 8, 100]),
        wireMm: die.maybe(die.mm(0.05, 20)),
        oneSizeWithId: places.length ? die.maybe(die.pick(places).id) : null,
      },
      side: die.pick(['outside', 'inside'] as const),
      startMm: die.mm(),
      lengthMm: die.mm(0.5),
      land: die.pick(['worn', 'unworn'] as const),
      matesPlaceId: places.length ? die.maybe(die.pick(places).id) : null,
      stationsMm: [die.mm(), ...die.some(3, () => die.mm())],
      clocksDeg: [die.degrees(), ...die.some(5, () => die.degrees())],
      instrumentId: die.pick(testShop.instruments).id,
    };
    return valid(placeInput, input) && testPlace(die.id(), input);
  });
}

/** Places of a job lie near each other in size, so that some of them fit. */
const aboutMm = (f: PlaceRecord): number => 40 + (f.id.charCodeAt(0) % 3) - (f.side === 'outside' ? 0.1 : 0);

function anyReading({ die, places, acts }: World, before: readonly ReadingRecord[]): ReadingRecord {
  const purpose = die.pick(['found', 'found', 'found', 'cut', 'proof'] as const);
  const place = die.pick(places);
  const known = before.length ? die.pick(before) : null;
  const changes = known !== null && die.chance(0.3);
  return testReading({
    ...(changes ? known : {}),
    id: die.id(),
    purpose,
    placeId: purpose === 'found' ? place.id : null,
    segmentId: purpose === 'found' ? null : die.pick(['head', 'body', 'gone']),
    afterActId: purpose === 'found' && acts.length ? die.maybe(die.pick(acts)) : null,
    quantity: die.chance(0.8) ? die.pick(PLACE_KINDS[place.kind].quantities) : die.pick(QUANTITY_IDS),
    stationMm: die.chance(0.7) ? die.pick(place.stationsMm) : die.mm(),
    clockDeg: die.chance(0.7) ? die.pick(place.clocksDeg) : die.degrees(),
    valueMm: die.chance(0.7) ? aboutMm(place) + die.mm(0, 0.3) : die.chance(0.2) ? -die.mm(0, 2) : die.mm(),
    instrumentId: die.pick(testShop.instruments).id,
    partTempC: die.pick([null, 20, -30, 200]),
    dial: purpose === 'cut' ? die.mm() - 20 : null,
    supersedesId: changes ? known.id : null,
    withdrawn: changes && die.chance(0.5),
  });
}

/** What a choice of each kind may hold, and what it hangs on. */
function anyChoice(world: World, version: number): ChoiceRecord {
  const { die, components, places } = world;
  const place = (): string => (die.chance(0.9) ? die.pick(places).id : die.id());
  const component = (): string => die.pick(components).id;
  const removed = die.chance(0.3);
  const school = (): string =>
    die.pick([
      'grease',
      'free-oil',
      'close',
      'light-tap',
      'press-bush',
      'iso:H7',
      'iso:s6',
      'inch:RC3',
      'inch:FN2',
      'maker',
      'seat',
      'seat-standing',
      'gone',
      'own:0.0200',
      'own:-0.2000',
      'own:99',
      'own:x',
    ]);
  const made: readonly (() => [key: string, kind: string, value: unknown])[] = [
    () => [choiceKey.fit(place()), 'fit', { schoolId: school(), hole: die.pick(['keep', 'true']), truedMm: die.maybe(die.mm(1, 1000)) }],
    () => [choiceKey.runs(place()), 'runs', { kind: die.pick(PAIR_KINDS) }],
    () => [
      choiceKey.running(place()),
      'running',
      { pinC: die.pick([-60, 20, 400]), holeC: die.pick([-60, 20, 400]), hubOutsideMm: die.maybe(die.mm(1, 3000)) },
    ],
    () => [choiceKey.nominal(place()), 'nominal', { sizeMm: die.mm(0.1, 2000), name: '40 mm' }],
    () => [choiceKey.route, 'route', { cause: 'x', route: 'y', causeId: die.pick(['', ...CAUSE_IDS]), cure: '' }],
    () => [choiceKey.part, 'part', die.chance(0.4) ? drawnPin() : anyPart(die, place)],
    () => [
      choiceKey.plan,
      'plan',
      {
        latheId: die.pick([...testShop.lathes.map((l) => l.id), 'gone']),
        barId: die.pick([...testShop.rack.map((b) => b.id), 'gone']),
        tool: die.pick(['hss', 'carbide']),
        partingMm: die.mm(0.5, 12),
        touched: die.pick(['left', 'right']),
        grippedMm: die.mm(5, 500),
        finishes: die.pick([2, 3]),
        ...(die.chance(0.7)
          ? {
              way: die.pick(WAY_IDS),
              moved: die.some(2, () => ({ id: die.pick(['body', 'head', 'gone']), to: die.pick([1, 2, 3, 9]) })),
              order: die.some(2, () => ({
                setUp: die.pick([1, 2, 9]),
                keys: die.some(3, () => die.pick(['part-off', 'face', 'body', 'gone'])),
              })),
              boring: die.pick(BORING_IDS),
              turnedAgain: die.pick(TURNED_AGAIN_IDS),
              eachThrough: die.chance(0.5),
              afterHolds: die.some(2, () => die.pick(AFTER_HOLD_IDS)),
            }
          : {}),
      },
    ],
    () => [
      `act:${die.chance(0.7) && world.acts.length ? die.pick(world.acts) : die.id()}`,
      'act',
      {
        componentId: component(),
        placeId: die.maybe(place()),
        kind: die.pick(ACT_KINDS),
        where: '',
        state: die.pick(['planned', 'done']),
        override: die.pick(['', 'so']),
        removed,
      },
    ],
    () => [
      `finding:${die.id()}`,
      'finding',
      {
        findingId: die.pick(FINDING_IDS),
        componentId: component(),
        placeId: die.maybe(place()),
        atMm: die.maybe(die.mm()),
        clockDeg: die.maybe(die.degrees()),
        words: '',
        removed,
      },
    ],
    () => [
      `soft:${die.id()}`,
      'soft',
      { componentId: die.maybe(component()), what: die.pick(SOFT_KINDS), size: 'x', count: 2, ordered: false, removed },
    ],
    () => [`fragment:${die.id()}`, 'fragment', { what: 'x', where: '', settled: die.pick(['', 'found']), removed }],
    () => [
      `strip:${component()}`,
      'strip',
      {
        faced: '',
        shims: die.some(2, () => ({ side: 'left', thicknessMm: die.mm(0.001, 100) })),
        endPlayMm: die.maybe(die.mm(0, 100)),
        sidePlayMm: null,
        noPlay: die.chance(0.5),
        damaged: '',
      },
    ],
    () => [`settle:${place()}`, 'settle', { believed: die.pick(testShop.instruments).id }],
    () => [
      `skip:${place()}`,
      'skip',
      { spots: die.some(3, () => ({ stationMm: die.mm(), clockDeg: die.degrees(), quantity: die.pick(QUANTITY_IDS) })) },
    ],
    () => [
      `seen:${place()}`,
      'seen',
      { surface: '', hardness: die.maybe(42), scale: 'HRC', clockDeg: die.maybe(die.degrees()), timedToPlaceId: die.maybe(place()) },
    ],
    () => [
      choiceKey.returned,
      'returned',
      { lesson: 'x', stillToDo: '', outcome: die.pick(['passed', 'not-passed']), beforeUse: '', unproved: '', undone: '' },
    ],
  ];
  return sure(() => {
    const [key, kind, chosen] = die.pick(made)();
    // One in ten was taken back.
    const value = die.chance(0.1) ? null : chosen;
    const schema = choiceInput(key)!;
    return valid(schema, { value, reason: '' }) && { ...testChoice(key, value), kind, version, id: die.id() };
  });
}

/** A job after so many random acts. */
function anySheet(seed: number): JobSheet {
  const die = new Die(seed);
  const base = testSheet();
  const components = Array.from({ length: 1 + Math.floor(4 * die.mm(0, 1)) || 1 }, (_, i) => ({
    ...base.components[0]!,
    id: die.id(),
    name: `Part ${i}`,
    role: i === 0 ? ('worn' as const) : die.pick(['worn', 'mate', 'mate', 'other'] as const),
    materialId: die.pick(MATERIALS).id,
    axisOffsetMm: die.mm() * die.pick([1, -1]),
  }));
  const places: PlaceRecord[] = [];
  for (let i = 0; i < 5; i++) places.push(anyPlace({ die, components, places, acts: [] }));
  const acts = die.some(2, die.id);
  const world: World = { die, components, places, acts };
  const readings: ReadingRecord[] = [];
  for (let i = die.pick([0, 1, 6, 25, 60]); i > 0; i--) readings.push(anyReading(world, readings));
  const choices = new Map<string, ChoiceRecord>();
  for (let i = die.pick([0, 2, 8, 20]); i > 0; i--) {
    const c = anyChoice(world, i);
    choices.set(c.key, c);
  }
  // A place that something rests on may be removed by another screen; what hangs on it stays behind.
  const left = die.chance(0.3) ? places.slice(1) : places;
  return testSheet({
    job: { ...base.job, unit: die.pick(['mm', 'in'] as const) },
    components,
    places: left,
    readings,
    choices: [...choices.values()],
  });
}

it('whatever can be stored of a job is worked out', () => {
  const wrong: string[] = [];
  const seen = { fits: 0, bores: 0, parts: 0, plans: 0, cuts: 0, proofs: 0, shapes: 0, indicators: 0, after: 0, trued: 0, acts: 0 };
  for (let seed = 1; seed <= 1500; seed++) {
    const sheet = anySheet(seed);
    try {
      const { stations, fits, bores, part, plan, cuts, proofs, places, pointsOfNoReturn } = workOut(sheet, testShop);
      seen.fits += Number(fits.some((f) => f.options.length > 0));
      seen.bores += Number(bores.some((b) => b.options.length > 0));
      seen.parts += Number(part !== null);
      seen.plans += Number(plan !== null);
      seen.cuts += Number(cuts.length > 0);
      seen.proofs += Number(proofs.some((p) => p.readings.length > 0));
      seen.shapes += Number(places.some((f) => f.shape));
      seen.indicators += Number(places.some((f) => f.indicator));
      seen.after += Number(places.some((f) => f.after.length));
      seen.trued += Number(sheet.choices.some((c) => c.key.startsWith('fit:') && (c.value as { hole: string })?.hole === 'true'));
      seen.acts += Number(pointsOfNoReturn.length > 0);
      if (!stations.length) wrong.push(`${seed}: no stations`);
    } catch (e) {
      wrong.push(`${seed}: ${(e as Error).stack?.split('\n').slice(0, 3).join(' ')}`);
    }
  }
  expect(wrong).toEqual([]);
  // The die reaches every corner, most of them often.
  // The die reaches every corner.
  for (const n of Object.values(seen)) expect(n).toBeGreaterThan(20);
});
