import { seededRandom } from '../../evidence/proof';
import {
  placeAll,
  surface,
  validatePart,
  type Part,
  type PartFeature,
  type PlacedSurface,
  type Surface,
  type TypedLimits,
} from '../../making/part';
import { onDial } from '../../making/schedule';
import { crossTurns, type Dial, type DialTurns, type Lathe } from '../../making/setups';
import { choiceKey } from './choices';
import { usualPlan, type PlanFinding, type PlannedSetUp } from './plan-finding';
import { workOut } from './repair';
import { testBar, testChoice, testSheet, testShop } from './testing';

/**
 * Parts are cut again by the plan's own paper: dials wound to what it says, a tool with two edges moved along a row of radii, and what comes
 * out held against the drawing. How the plan finds its numbers is nothing to it.
 */
const CELL_MM = 0.02;
const LATHES: readonly Pick<Lathe, 'cross' | 'carriage'>[] = [
  { cross: { unit: 'in', perTurn: 0.2, perLine: 0.001, reads: 'radius' }, carriage: { unit: 'in', perTurn: 0.5, perLine: 0.001 } },
  { cross: { unit: 'in', perTurn: 0.25, perLine: 0.001, reads: 'diameter' }, carriage: { unit: 'mm', perTurn: 20, perLine: 0.05 } },
  { cross: { unit: 'mm', perTurn: 5, perLine: 0.02, reads: 'diameter' }, carriage: { unit: 'mm', perTurn: 20, perLine: 0.05 } },
  { cross: { unit: 'mm', perTurn: 4, perLine: 0.02, reads: 'radius' }, carriage: { unit: 'in', perTurn: 0.1, perLine: 0.001 } },
];
const inMm = (unit: 'in' | 'mm'): number => (unit === 'in' ? 25.4 : 1);
const lineMm = (dial: Dial): number => dial.perLine * inMm(dial.unit);
const wound = ({ turns, remainder }: DialTurns, dial: Dial): number => (turns * dial.perTurn + remainder) * inMm(dial.unit);
/** How far the slide itself goes in where its dial counts so much. */
const slideMm = (dialMm: number, { cross }: Pick<Lathe, 'cross'>): number => (cross.reads === 'diameter' ? dialMm / 2 : dialMm);
/** `1 turn + 0.0755 in`, as it stands on the paper. */
function readDial(text: string, dial: Dial): number {
  const [, turns, rest] = /^(?:(\d+) turns? \+ )?([\d.]+) (?:in|mm)$/.exec(text)!;
  return wound({ turns: Number(turns ?? 0), remainder: Number(rest) }, dial);
}

class Metal {
  readonly rows: Readonly<Record<'outside' | 'inside', number[]>>;
  constructor(
    readonly lengthMm: number,
    barMm: number,
  ) {
    const row = (r: number): number[] => Array.from({ length: Math.round(lengthMm / CELL_MM) }, () => r);
    this.rows = { outside: row(barMm / 2), inside: row(0) };
  }
  radiusIn(side: 'outside' | 'inside', x: number): number {
    return this.rows[side][Math.floor(x / CELL_MM)]!;
  }
  cut(side: 'outside' | 'inside', ends: readonly number[], radiusAt: (x: number) => number): void {
    const row = this.rows[side];
    const [a, b] = [Math.min(...ends), Math.max(...ends)];
    for (let i = Math.max(0, Math.round(a / CELL_MM)); i < Math.min(row.length, Math.round(b / CELL_MM)); i++) {
      const r = radiusAt((i + 0.5) * CELL_MM);
      row[i] = side === 'outside' ? Math.min(row[i]!, r) : Math.max(row[i]!, r);
    }
  }
}

/** Somebody at the lathe with the page of one set-up, the drawing, and a tool with two edges. */
class Hand {
  private readonly away: number;
  constructor(
    private readonly one: PlannedSetUp,
    private readonly plan: PlanFinding,
    private readonly part: Part,
    private readonly metal: Metal,
  ) {
    // Depths count from the free end.
    this.away = one.setUp.fromFarEnd ? -1 : 1;
  }
  private toPart(depth: number): number {
    return this.away > 0 ? depth : this.metal.lengthMm - depth;
  }
  private reading(key: string): number | null {
    const r = this.one.ladder.find((x) => x.key === key);
    return r?.dial ? wound(r.dial, this.one.dial!) : null;
  }
  /** Where both edges of the tool are, on the part. */
  private edges(reading: number, width: number): number[] {
    const right = this.plan.plan.touched === 'left' ? reading - width : reading;
    return [this.toPart(right), this.toPart(right + width)];
  }
  private turn(s: PlacedSurface): void {
    const { part, metal, plan } = this;
    const pass = plan.passes.find((p) => p.segment.segment.id === s.id)!;
    const off = Math.abs(pass.fromMm - pass.segment.diameter.value);
    const inFrom = slideMm(wound(crossTurns(off, plan.lathe), plan.lathe.cross), plan.lathe);
    const r = s.side === 'outside' ? pass.fromMm / 2 - inFrom : pass.fromMm / 2 + inFrom;
    const same = placeAll(part).filter((p) => p.side === s.side);
    const deeper = (a: PlacedSurface | undefined): boolean =>
      !!a && (s.side === 'outside' ? a.diameterMm > s.diameterMm : a.diameterMm < s.diameterMm);
    const before = same.find((p) => Math.abs(p.toMm - s.fromMm) < 1e-6);
    const after = same.find((p) => Math.abs(p.fromMm - s.toMm) < 1e-6);
    // Each end: a wall that stays is on the paper; where none does the tool runs out into what is thinner, or into the air.
    const ends = [
      { x: s.fromMm, wall: deeper(before), key: s.side === 'outside' ? `${s.id}.shoulder` : '', out: -Math.min(1, before?.lengthMm ?? 1) },
      { x: s.toMm, wall: deeper(after), key: s.side === 'outside' ? `${after?.id}.shoulder` : '', out: Math.min(1, after?.lengthMm ?? 1) },
    ].flatMap(({ x, wall, key, out }, i) => {
      const bottom = s.side === 'inside' ? this.boreStop(s, i === 0 ? before : after) : null;
      const name = bottom ?? key;
      const blind = s.side === 'inside' && bottom !== null && x > 1e-6 && x < metal.lengthMm - 1e-6 && (i === 0 ? !before : !after);
      if (!wall && !blind) return [x + out];
      const at = this.reading(name);
      if (at === null) throw new Error(`no stop ${name} for ${s.name}`);
      const plunged = this.one.ladder.find((l) => l.key === name)!.note !== '';
      return plunged ? this.edges(at, Math.min(plan.plan.partingMm, s.lengthMm)) : [this.toPart(at)];
    });
    metal.cut(s.side, this.hull(ends), () => r);
  }
  private boreStop(s: PlacedSurface, beside: PlacedSurface | undefined): string | null {
    const bore = this.part.bores.find((b) => b.surfaces.some((x) => x.id === s.id))!;
    const ids = bore.surfaces.map((x) => x.id);
    if (!beside) return bore.through || ids.at(-1) !== s.id ? null : `${s.id}.bottom`;
    return `${ids[Math.min(ids.indexOf(s.id), ids.indexOf(beside.id))]}.bottom`;
  }
  private hull(xs: readonly number[]): number[] {
    return [Math.min(...xs), Math.max(...xs)];
  }
  private groove(f: Extract<PartFeature, { kind: 'seal-groove' }>): void {
    const { plan, part, metal } = this;
    const s = placeAll(part).find((p) => p.id === f.on)!;
    const width = Math.min(plan.plan.partingMm, f.widthMm);
    const readings = ['from', 'to'].map((end) => this.reading(`${f.id}.${end}`)!);
    const depth = this.one.schedules.find((x) => x.id === f.id)!.settings.find((x) => x.on === 'cross')!;
    const inFrom = slideMm(readDial(onDial(depth, plan.lathe), plan.lathe.cross), plan.lathe);
    // Touched on the surface as the cuts before left it.
    const edge = metal.radiusIn(s.side, s.fromMm + f.atMm / 2);
    const floor = s.side === 'outside' ? edge - inFrom : edge + inFrom;
    metal.cut(s.side, this.hull(readings.flatMap((r) => this.edges(r, width))), () => floor);
  }
  work(): void {
    const { setUp } = this.one;
    for (const s of placeAll(this.part)) if (setUp.cuts.includes(s.id)) this.turn(s);
    for (const f of this.part.features) if (f.kind === 'seal-groove' && setUp.cuts.includes(f.id)) this.groove(f);
  }
  /** Where the part ends that is cut off. */
  partedAt(): number | null {
    const at = this.reading('part-off');
    return at === null ? null : this.edges(at, this.plan.plan.partingMm)[0]!;
  }
}

/** Steps up and down, a bore in steps, grooves with square walls. */
function steppedPart(random: () => number): Part {
  const between = (a: number, b: number): number => Math.round((a + (b - a) * random()) * 50) / 50;
  const step = (id: string, l: number, d: number): Surface => surface(id, 'cylinder', id, l, d);
  const outside = Array.from({ length: 2 + Math.floor(random() * 4) }, (_, i) => step(`s${i}`, between(8, 40), between(34, 56)));
  const least = Math.min(...outside.map((s) => s.diameterMm));
  const length = outside.reduce((sum, s) => sum + s.lengthMm, 0);
  const bored = Array.from({ length: Math.floor(random() * 3) }, (_, i) =>
    step(`b${i}`, between(0.1, 0.25) * length, between(10, least - 12)),
  );
  const bores = bored.length
    ? [{ id: 'b', from: random() < 0.5 ? ('near' as const) : ('far' as const), through: random() < 0.6, surfaces: bored }]
    : [];
  const bare: Part = { name: 'Any', materialId: 'steel-c45', outside, bores, features: [], limits: {}, block: null };
  const features = placeAll(bare).flatMap((s): PartFeature[] => {
    if (s.lengthMm < 8 || random() < 0.4) return [];
    const widthMm = between(1.6, 5);
    return [
      {
        ...{
          id: `g-${s.id}`,
          kind: 'seal-groove',
          on: s.id,
          name: `Groove in ${s.id}`,
          widthMm,
          atMm: between(1, s.lengthMm - widthMm - 1),
        },
        ...{ diameterMm: s.diameterMm + (s.side === 'outside' ? -3 : 3), cornerMm: 0, use: 'rod-seal' },
      },
    ];
  });
  return { ...bare, features };
}

/** How far a size may be off to one side, mm, and as it is typed: more or less than drawn, never both. */
const ONE_SIDED = [0.2, 0.12, -0.2, -0.12] as const;
const typedLimits = (mm: number): TypedLimits => ({
  lowerDev: Math.min(0, mm),
  upperDev: Math.max(0, mm),
  text: mm > 0 ? `+${mm} -0` : `+0 ${mm}`,
});

/** The same part with one-sided limits on its sizes, and the part that lies in the middle of them, drawn without. */
function oneSided(part: Part, random: () => number): { readonly part: Part; readonly middle: Part } {
  const limits: Record<string, TypedLimits> = {};
  const off = (key: string): number => {
    const mm = ONE_SIDED[Math.floor(random() * ONE_SIDED.length)]!;
    limits[key] = typedLimits(mm);
    return mm / 2;
  };
  const moved = (s: Surface, last: boolean): Surface => ({
    ...s,
    diameterMm: s.diameterMm + off(s.id),
    lengthMm: last ? s.lengthMm : s.lengthMm + off(`${s.id}.length`),
  });
  const outside = part.outside.map((s) => moved(s, false));
  const bores = part.bores.map((b) => ({ ...b, surfaces: b.surfaces.map((s, i) => moved(s, b.through && i === b.surfaces.length - 1)) }));
  const features = part.features.map((f) =>
    f.kind === 'seal-groove'
      ? {
          ...f,
          atMm: f.atMm + off(`${f.id}.at`),
          widthMm: f.widthMm + off(`${f.id}.width`),
          diameterMm: f.diameterMm + off(`${f.id}.diameter`),
        }
      : f,
  );
  return { part: { ...part, limits }, middle: { ...part, outside, bores, features } };
}

/** Radii of the drawing, cell by cell. */
function drawn(part: Part, side: 'outside' | 'inside', cells: number): number[] {
  const row = Array.from({ length: cells }, () => 0);
  const fill = (from: number, to: number, r: number): void => {
    row.fill(r, Math.round(from / CELL_MM), Math.round(to / CELL_MM));
  };
  for (const s of placeAll(part).filter((p) => p.side === side)) {
    fill(s.fromMm, s.toMm, s.diameterMm / 2);
    for (const g of part.features)
      if (g.kind === 'seal-groove' && g.on === s.id) fill(s.fromMm + g.atMm, s.fromMm + g.atMm + g.widthMm, g.diameterMm / 2);
  }
  return row;
}

/** Places at which the work is neither as drawn there nor as drawn a hair beside it. */
function wrong(part: Part, metal: Metal, along: number, across: number): string[] {
  const beside = Math.ceil(along / CELL_MM);
  return (['outside', 'inside'] as const).flatMap((side) => {
    const wanted = drawn(part, side, metal.rows[side].length);
    return metal.rows[side].flatMap((r, i) => {
      const near = [i, i - beside, i + beside].map((at) => wanted[Math.min(Math.max(at, 0), wanted.length - 1)]!);
      const fits = r >= Math.min(...near) - across && r <= Math.max(...near) + across;
      return fits ? [] : [`${side} ${(i * CELL_MM).toFixed(2)}: ${r.toFixed(3)} for ${wanted[i]!.toFixed(3)}`];
    });
  });
}

function replay(part: Part, middle: Part, dials: Pick<Lathe, 'cross' | 'carriage'>, touched: 'left' | 'right'): Record<string, string[]> {
  const lathe: Lathe = { ...testShop.lathes[0]!, ...dials, centresMm: 2000 };
  const shop = { ...testShop, lathes: [lathe], rack: [testBar('bar60', { lengthMm: 2000 })] };
  const found = (way?: string): PlanFinding => {
    const choices = [
      testChoice(choiceKey.part, part),
      testChoice(choiceKey.plan, { ...usualPlan(lathe), touched, ...(way ? { way } : {}) }),
    ];
    return workOut(testSheet({ choices }), shop).plan!;
  };
  const along = lineMm(lathe.carriage) / 4 + CELL_MM;
  // Numbers are told to half a line, so each is a quarter off at most: a floor has the surface’s share and its own.
  const across = lineMm(lathe.cross) / 2 + 1e-6;
  return Object.fromEntries(
    found().ways.map(({ way }) => {
      const plan = found(way);
      const metal = new Metal(
        middle.outside.reduce((sum, s) => sum + s.lengthMm, 0),
        60,
      );
      const parted = plan.setUps
        .filter((s) => s.setUp.machine === 'lathe')
        .flatMap((s) => {
          const hand = new Hand(s, plan, middle, metal);
          hand.work();
          return hand.partedAt() ?? [];
        });
      const short = parted.filter((x) => Math.min(Math.abs(x), Math.abs(x - metal.lengthMm)) > along).map((x) => `cut off at ${x}`);
      return [way, [...short, ...wrong(middle, metal, along, across)]];
    }),
  );
}

describe.each(LATHES)('cut by the paper on %j', (dials) => {
  it.each(['left', 'right'] as const)(
    'with the %s edge of the tool touched, every part comes out in the middle of its limits',
    (touched) => {
      const random = seededRandom(touched === 'left' ? 11 : 12);
      let parts = 0;
      while (parts < 6) {
        const any = steppedPart(random);
        const { part, middle } = parts % 2 ? oneSided(any, random) : { part: any, middle: any };
        if (!validatePart(part).ok || !validatePart(middle).ok) continue;
        parts++;
        const all = replay(part, middle, dials, touched);
        const bad = Object.fromEntries(
          Object.entries(all)
            .filter(([, w]) => w.length)
            .map(([way, w]) => [way, w.slice(0, 2)]),
        );
        expect({ bad, part: Object.keys(bad).length ? JSON.stringify(part) : '' }).toEqual({ bad: {}, part: '' });
      }
    },
  );
});
