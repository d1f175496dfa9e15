import { BEARINGS, shaftSeat, housingSeat, type BearingSize } from '../bearings';
import { DRILLS, DRILL_SOURCE, drillWords, type Drill } from '../drills';
import { zoneDeviations } from '../fits';
import { WOODRUFF, type Woodruff } from '../keys';
import { MATERIALS, MATERIAL_SOURCE, materialOf, type Material } from '../materials';
import { DOWEL_INCH_OVER, DOWELS_INCH, DOWELS_MM, PIN_SOURCES, SPRING_PINS_INCH, TAPER_PINS, type TaperPin } from '../pins';
import { MM_PER_INCH, toInchFraction } from '../../terms/quantity';
import { LIP_SEAL_SHAFT, LIP_SEAL_SIZES, ORINGS, type LipSeal, type ORing } from '../seals';
import {
  dieBlankMm,
  minorMm,
  pitchDiameterMm,
  taperDrills,
  taperPipe,
  tapHole,
  threadLimits,
  THREADS,
  THREAD_CLASSES,
  type Band,
  type Thread,
} from '../threads';
import type { BookEntry, Cell } from './entry';

type Row = readonly [label: string, value: Cell];

const bandRows = (what: string, { lowerMm, upperMm }: Band): Row[] => [
  ...(upperMm === null ? [] : [[`${what}, most`, upperMm] as const]),
  ...(lowerMm === null ? [] : [[`${what}, least`, lowerMm] as const]),
];

function limitRows(t: Thread): Row[] {
  const classes = THREAD_CLASSES[t.system];
  return (['outside', 'inside'] as const).flatMap((side) => {
    const limits = threadLimits(t, side, classes?.[side][0] ?? '');
    if (!limits.ok) return [];
    const { threadClass, major, pitchDiameter, minor } = limits.value;
    return [
      ...bandRows(`${threadClass} major`, major),
      ...bandRows(`${threadClass} pitch diameter`, pitchDiameter),
      ...bandRows(`${threadClass} minor`, minor),
    ];
  });
}

/** What to drill for it: within its own limits, or what to bore. */
function tapDrillRows(t: Thread): Row[] {
  const taper = taperDrills(t);
  if (taper)
    return [
      ['Tap drill, no reamer', drillWords(taper.plain)],
      ...(taper.reamed ? [['Tap drill, before a taper reamer', drillWords(taper.reamed)] as const] : []),
    ];
  const hole = tapHole(t, 75);
  if (!hole.ok) return [];
  const { drills, chart, limits } = hole.value;
  const [best] = drills;
  return [
    ...(best
      ? [['Tap drill', `${drillWords(best.drill)}, ${best.percent.toFixed(0)} %`] as const]
      : [['Bore, least', limits.lowerMm] as const, ['Bore, most', limits.upperMm] as const]),
    ...(chart ? [[`${drillWords(chart.drill)} is ${chart.outsideMm > 0 ? 'over' : 'under'} by`, Math.abs(chart.outsideMm)] as const] : []),
  ];
}

/** A thread as an entry of the book: major and pitch diameter, pitch, tap drill, mm and inch. */
export function threadEntry(t: Thread): BookEntry {
  const pipe = taperPipe(t.name);
  // An NPT thread is known by its tapered sizes; sizes worked from the pipe's outside would be of another thread.
  const parallel = t.series !== 'NPT';
  const blankMm = dieBlankMm(t);
  return {
    title: t.name,
    kind: 'thread',
    rows: [
      [parallel ? 'Major' : 'Outside of the pipe', t.majorMm],
      ['Pitch', t.pitchMm],
      ...(t.tpi ? [['To the inch', String(t.tpi)] as const] : []),
      ...(parallel
        ? ([
            ['Pitch diameter', pitchDiameterMm(t)],
            ['Minor of the inside thread', minorMm(t)],
          ] as const)
        : []),
      ['Angle', `${t.form.angleDeg}°`],
      ...(pipe ?? []),
      ...tapDrillRows(t),
      ...(blankMm === null ? [] : [['Blank for a die', blankMm] as const]),
      ...(t.tapered ? [] : [['Best wire', t.form.bestWire * t.pitchMm] as const]),
      ...limitRows(t),
    ],
    ...(t.common ? {} : { words: 'A rare one: order it or cut it.' }),
    source: t.source,
  };
}

/** A rolling bearing as an entry: bore, outside, width, mm. */
export function bearingEntry(b: BearingSize): BookEntry {
  const shaft = shaftSeat(b.boreMm, 'normal', 'inner');
  const housing = housingSeat(b.outsideMm, 'normal', 'inner');
  return {
    title: b.kind === 'cup' ? `Drawn ${b.code}` : `Bearing ${b.code}`,
    kind: 'bearing',
    rows: [
      [b.kind === 'cup' ? 'Runs on' : 'Bore', b.boreMm],
      ['Outside', b.outsideMm],
      [b.kind === 'taper' ? 'Width over both rings' : 'Width', b.widthMm],
      ...(b.sealedWidthMm ? [['Width, sealed or shielded', b.sealedWidthMm] as const] : []),
      ...(b.kind === 'needle' ? [['Under the needles', b.underNeedlesMm!] as const] : []),
      ...(b.kind === 'ball' && shaft.ok
        ? [
            [`Shaft seat ${shaft.value.zone}, most`, b.boreMm + shaft.value.seat.upperMm] as const,
            [`Shaft seat ${shaft.value.zone}, least`, b.boreMm + shaft.value.seat.lowerMm] as const,
          ]
        : []),
      ...(b.kind === 'ball' && housing.ok
        ? [
            [`Housing ${housing.value.zone}, most`, b.outsideMm + housing.value.seat.upperMm] as const,
            [`Housing ${housing.value.zone}, least`, b.outsideMm + housing.value.seat.lowerMm] as const,
          ]
        : []),
    ],
    ...(b.kind === 'ball' ? { words: 'Seats for a turning inner ring and normal load.' } : {}),
    source: b.source,
  };
}

/** An O-ring as an entry: inside and section, mm. */
const oringEntry = (r: ORing): BookEntry => ({
  title: `O-ring ${r.name}`,
  kind: 'O-ring',
  rows: [
    ['Inside', r.insideMm],
    ['Section', r.sectionMm],
    ['Outside', r.insideMm + 2 * r.sectionMm],
    ...(r.port ? [['For a port', r.port] as const] : []),
  ],
  source: r.source,
});

const drillEntry = (d: Drill): BookEntry => ({
  title: `Drill ${drillWords(d)}`,
  kind: 'drill',
  rows: [['Diameter', d.diameterMm]],
  source: DRILL_SOURCE,
});

const sealEntry = (s: LipSeal): BookEntry => ({
  title: `Lip seal ${s.name}`,
  kind: 'lip seal',
  rows: [
    ['Shaft', s.shaftMm],
    ['Housing', s.boreMm],
    ['Width', s.widthMm],
  ],
  words: LIP_SEAL_SHAFT.words,
  source: s.source,
});

const woodruffEntry = (k: Woodruff): BookEntry => ({
  title: `Woodruff key ${k.name}`,
  kind: 'key',
  rows: [
    ['Width', k.widthMm],
    ['Height', k.heightMm],
    ['Cutter', k.cutterMm],
    [`Seat depth, from the ${k.depthFrom}`, k.depthMm],
  ],
  source: k.source,
});

const pinEntry = (p: TaperPin): BookEntry => ({
  title: `Taper pin ${p.name}`,
  kind: 'pin',
  rows: [
    [p.namedBy === 'small end' ? 'Small end' : 'Large end', p.namedMm],
    ['Taper', `1:${p.ratio}`],
  ],
  words: `Named by its ${p.namedBy}.`,
  source: p.source,
});

const fractionOf = (inch: number): string => toInchFraction(inch * MM_PER_INCH).text;

const dowelInchEntry = (inch: number): BookEntry => ({
  title: `Dowel pin ${fractionOf(inch)} in`,
  kind: 'pin',
  rows: [
    ['Pin, least', (inch + DOWEL_INCH_OVER.least) * MM_PER_INCH],
    ['Pin, most', (inch + DOWEL_INCH_OVER.most) * MM_PER_INCH],
  ],
  source: PIN_SOURCES.dowelInch,
});

const dowelEntry = (mm: number): BookEntry => {
  const m6 = zoneDeviations('m6', mm);
  return {
    title: `Dowel pin ${mm} mm`,
    kind: 'pin',
    rows: m6.ok
      ? [
          ['Pin m6, least', mm + m6.value.lowerMm],
          ['Pin m6, most', mm + m6.value.upperMm],
        ]
      : [['Pin', mm]],
    source: PIN_SOURCES.dowel,
  };
};

const springInchEntry = ([nominal, least, most]: (typeof SPRING_PINS_INCH)[number]): BookEntry => ({
  title: `Slotted spring pin ${fractionOf(nominal)} in`,
  kind: 'pin',
  rows: [
    ['Hole, least', least * MM_PER_INCH],
    ['Hole, most', most * MM_PER_INCH],
  ],
  source: PIN_SOURCES.springInch,
});

/** A metal as an entry: density, expansion, speeds to start from. */
const materialEntry = (m: Material): BookEntry => ({
  title: m.name,
  kind: 'material',
  rows: [
    ['Condition', m.hardness],
    ['Density', `${m.densityKgM3} kg/m³`],
    ["Young's modulus", `${m.youngMpa / 1000} GPa`],
    ["Poisson's ratio", String(m.poisson)],
    ['Expansion', `${(m.alphaPerK * 1e6).toFixed(1)} µm a metre a degree`],
    ['Yield', m.yieldMpa === null ? 'none: it breaks' : `${m.yieldMpa} MPa`],
    ['Tensile', `${m.tensileMpa} MPa`],
    ['Machinability', `${m.machinability} % of 1212`],
    ['Surface speed', `${m.speedHss} m/min high-speed steel, ${m.speedCarbide} carbide`],
    ...(m.kc11 ? [['Cutting force', `kc1.1 ${m.kc11} N/mm², mc ${m.mc}`] as const] : []),
    ...m.substitutes.map(({ id, change }) => [`Instead: ${materialOf(id)!.name}`, change] as const),
  ],
  ...(m.caution ? { words: m.caution } : {}),
  source: MATERIAL_SOURCE,
});

const BEARING_WORDS: Readonly<Record<BearingSize['kind'], string>> = {
  ball: 'ball',
  angular: 'angular contact',
  roller: 'cylindrical roller',
  taper: 'taper roller',
  needle: 'needle',
  cup: 'needle drawn cup',
};

/** Something that can be looked up: the words that find it, and how to show it. Entries are made only when they are shown. */
export interface Findable {
  readonly words: string;
  readonly common: boolean;
  readonly entry: () => BookEntry;
}

export const FINDABLES: readonly Findable[] = [
  ...THREADS.map((t) => ({ words: `${t.name} thread${t.tapered ? ' taper pipe' : ''}`, common: t.common, entry: () => threadEntry(t) })),
  ...BEARINGS.map((b) => ({
    words: `${b.code} ${b.alias ?? ''} ${BEARING_WORDS[b.kind]} bearing`,
    common: b.kind === 'ball',
    entry: () => bearingEntry(b),
  })),
  ...ORINGS.map((r) => ({
    words: `${r.name} ${r.name.replaceAll(' ', '')} ${r.unit === 'mm' ? 'metric ' : ''}${r.port ? `${r.port} port ` : ''}o-ring`,
    common: true,
    entry: () => oringEntry(r),
  })),
  ...DRILLS.map((d) => ({
    words: `${d.kind === 'number' || d.kind === 'letter' ? `${d.kind} ` : ''}${d.name} ${d.kind === 'number' ? `#${d.name} ` : ''}drill`,
    common: true,
    entry: () => drillEntry(d),
  })),
  ...LIP_SEAL_SIZES.map((s) => ({ words: `${s.name.replaceAll(' x ', ' ')} lip seal`, common: true, entry: () => sealEntry(s) })),
  ...WOODRUFF.map((k) => ({ words: `${k.name} woodruff key`, common: true, entry: () => woodruffEntry(k) })),
  ...TAPER_PINS.map((p) => ({ words: `${p.name} taper pin`, common: true, entry: () => pinEntry(p) })),
  ...DOWELS_INCH.map((inch) => ({ words: `${fractionOf(inch)} dowel pin`, common: true, entry: () => dowelInchEntry(inch) })),
  ...DOWELS_MM.map((mm) => ({ words: `${mm} mm dowel pin`, common: true, entry: () => dowelEntry(mm) })),
  ...SPRING_PINS_INCH.map((row) => ({
    words: `${fractionOf(row[0])} spring pin roll pin`,
    common: true,
    entry: () => springInchEntry(row),
  })),
  ...MATERIALS.map((m) => ({ words: m.name, common: true, entry: () => materialEntry(m) })),
];
