import { BEARINGS, BEARING_SOURCES } from '../bearings';
import { DRILLS, DRILL_SOURCE, drillWords } from '../drills';
import { GRADES, ISO286_SOURCE, PREFERRED_FITS, toleranceWidth, fitPair, zoneDeviations } from '../fits';
import { B17_1_ROWS, B17_1_SOURCE, DIN6885_ROWS, DIN6885_SOURCE, WOODRUFF } from '../keys';
import { MATERIALS, MATERIAL_SOURCE } from '../materials';
import {
  CLEVIS_PINS,
  DOWEL_INCH_OVER,
  DOWELS_INCH,
  DOWELS_MM,
  PIN_SOURCES,
  splitPinShank,
  SPLIT_PINS,
  SPRING_PINS_INCH,
  SPRING_PINS_MM,
  TAPER_PINS,
} from '../pins';
import { MM_PER_INCH } from '../../terms/quantity';
import { RINGS, type RingGroove } from '../rings';
import {
  LIP_SEAL_INCH_SOURCE,
  LIP_SEAL_SIZES,
  LIP_SEAL_SOURCE,
  ORINGS,
  ORING_METRIC_SOURCE,
  ORING_PORT_METRIC_SOURCE,
  ORING_PORT_SOURCE,
  ORING_SOURCE,
} from '../seals';
import { minorMm, pitchDiameterMm, taperDrills, tapHole, THREADS, type Thread } from '../threads';
import type { BookTable, Cell } from './entry';

const threadTable = (id: string, title: string, unit: 'mm' | 'in', has: (t: Thread) => boolean): BookTable => ({
  id,
  title,
  unit,
  source: THREADS.find(has)!.source,
  columns: ['Thread', 'Major', unit === 'in' ? 'To the inch' : 'Pitch', 'Pitch diameter', 'Minor', 'Tap drill'],
  rows: () =>
    THREADS.filter(has).map((t): Cell[] => {
      const hole = tapHole(t, 75);
      const drill = hole.ok ? hole.value.drills[0]?.drill : taperDrills(t)?.plain;
      const parallel = t.series !== 'NPT';
      return [
        t.name,
        t.majorMm,
        unit === 'in' ? String(t.tpi) : t.pitchMm,
        parallel ? pitchDiameterMm(t) : '–',
        parallel ? minorMm(t) : '–',
        drill ? drillWords(drill) : hole.ok ? 'bore' : '–',
      ];
    }),
});

const ringTable = (id: string, title: string, unit: 'mm' | 'in', has: (r: RingGroove) => boolean): BookTable => ({
  id,
  title,
  unit,
  source: RINGS.find(has)!.source,
  columns: ['Size', 'Up to', 'Ring', 'Groove', 'Groove width'],
  rows: () => RINGS.filter(has).map((r) => [r.sizeMm, r.upToMm === r.sizeMm ? '' : r.upToMm, r.thicknessMm, r.grooveMm, r.widthMm]),
});

/** ISO 8734 ends here; larger dowels are soft. */
const MOST_HARD_DOWEL_MM = 20;

/** Middle of each step of ISO 286, for a table of widths. */
const GRADE_SIZES = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500];

/** Every table of the book, in the order of the trade. */
export const TABLES: readonly BookTable[] = [
  {
    id: 'grades',
    title: 'Standard tolerances, IT01 to IT16',
    source: ISO286_SOURCE,
    unit: 'mm',
    columns: ['Up to', ...GRADES],
    rows: () =>
      GRADE_SIZES.map((size) => [
        String(size),
        ...GRADES.map((g) => {
          const w = toleranceWidth(g, size);
          return w.ok ? w.value : '–';
        }),
      ]),
  },
  {
    id: 'fits',
    title: 'Fits to reach for first, at 25 mm',
    source: `${ISO286_SOURCE}, ANSI B4.1`,
    unit: 'mm',
    columns: ['Fit', 'Name', 'Least play', 'Most play', 'When'],
    rows: () =>
      PREFERRED_FITS.map(({ fit, name, when }) => {
        const pair = fitPair(fit, 25);
        return pair.ok ? [fit, name, pair.value.leastClearanceMm, pair.value.mostClearanceMm, when] : [fit, name, '–', '–', when];
      }),
  },
  threadTable('unc-unf', 'Unified threads, UNC and UNF', 'in', (t) => t.series === 'UNC' || t.series === 'UNF'),
  threadTable(
    'un-other',
    'Unified threads, UNEF and constant pitch',
    'in',
    (t) => t.system === 'unified' && t.series !== 'UNC' && t.series !== 'UNF',
  ),
  threadTable('metric-coarse', 'Metric threads, coarse', 'mm', (t) => t.series === 'coarse'),
  threadTable('metric-fine', 'Metric threads, fine', 'mm', (t) => t.series === 'fine'),
  threadTable('whitworth', 'Whitworth threads, BSW and BSF', 'in', (t) => t.system === 'whitworth' && t.series !== 'model'),
  threadTable('model', 'Model engineers’ threads', 'in', (t) => t.series === 'model'),
  threadTable('cycle', 'Cycle threads', 'in', (t) => t.system === 'cycle'),
  threadTable('ba', 'BA threads', 'mm', (t) => t.system === 'ba'),
  threadTable('trapezoidal', 'Trapezoidal threads', 'mm', (t) => t.system === 'trapezoidal'),
  threadTable('acme', 'ACME threads', 'in', (t) => t.system === 'acme'),
  threadTable('pipe', 'Pipe threads, G, R and NPT', 'in', (t) => t.system === 'pipe'),
  {
    id: 'drills',
    title: 'Drills',
    source: DRILL_SOURCE,
    unit: 'mm',
    columns: ['Drill', 'Diameter', 'Inch'],
    rows: () => DRILLS.map((d) => [drillWords(d), d.diameterMm, (d.diameterMm / MM_PER_INCH).toFixed(4)]),
  },
  {
    id: 'bearings',
    title: 'Rolling bearings, metric',
    source: `${BEARING_SOURCES.radial}, ${BEARING_SOURCES.needle}, ${BEARING_SOURCES.cup}`,
    unit: 'mm',
    columns: ['Bearing', 'Bore', 'Outside', 'Width'],
    rows: () => BEARINGS.filter((b) => b.unit === 'mm').map((b) => [b.code, b.boreMm, b.outsideMm, b.widthMm]),
  },
  {
    id: 'bearings-inch',
    title: 'Rolling bearings, inch',
    source: BEARING_SOURCES.inch,
    unit: 'in',
    columns: ['Bearing', 'Bore', 'Outside', 'Width'],
    rows: () => BEARINGS.filter((b) => b.unit === 'in').map((b) => [b.code, b.boreMm, b.outsideMm, b.widthMm]),
  },
  {
    id: 'keys',
    title: 'Parallel keys, metric',
    source: DIN6885_SOURCE,
    unit: 'mm',
    columns: ['Shaft over', 'up to', 'Width', 'Height', 'In shaft', 'In hub'],
    rows: () => DIN6885_ROWS,
  },
  {
    id: 'keys-inch',
    title: 'Square and flat keys, inch',
    source: B17_1_SOURCE,
    unit: 'in',
    columns: ['Shaft over', 'up to', 'Square', 'Flat, height'],
    rows: () => B17_1_ROWS.map((row) => row.map((x) => (x === null ? '–' : x * MM_PER_INCH))),
  },
  {
    id: 'woodruff',
    title: 'Woodruff keys',
    source: 'ASME B17.2, DIN 6888',
    unit: 'mm',
    columns: ['Key', 'Width', 'Height', 'Cutter', 'Depth', 'From the'],
    rows: () => WOODRUFF.map((k) => [k.name, k.widthMm, k.heightMm, k.cutterMm, k.depthMm, k.depthFrom]),
  },
  ringTable('rings-shaft', 'Retaining rings on shafts, metric', 'mm', (r) => r.standard === 'DIN 471'),
  ringTable('rings-bore', 'Retaining rings in bores, metric', 'mm', (r) => r.standard === 'DIN 472'),
  ringTable('washers', 'Retaining washers', 'mm', (r) => r.standard === 'DIN 6799'),
  ringTable('rings-shaft-inch', 'Retaining rings on shafts, inch', 'in', (r) => r.unit === 'in' && r.on === 'shaft'),
  ringTable('rings-bore-inch', 'Retaining rings in bores, inch', 'in', (r) => r.unit === 'in' && r.on === 'bore'),
  {
    id: 'split-pins',
    title: 'Split pins',
    source: PIN_SOURCES.split,
    unit: 'mm',
    columns: ['Pin (its hole)', 'Shank at most', 'at least', 'Bolt over', 'up to', 'Clevis pin over', 'up to'],
    rows: () =>
      SPLIT_PINS.map(([hole, ...fits]) => {
        const shank = splitPinShank(hole);
        return [hole, shank?.largestMm ?? '', shank?.smallestMm ?? '', ...fits];
      }),
  },
  {
    id: 'clevis-pins',
    title: 'Clevis pins',
    source: PIN_SOURCES.clevis,
    unit: 'mm',
    columns: ['Pin', 'Split pin'],
    rows: () => CLEVIS_PINS,
  },
  {
    id: 'dowels',
    title: 'Dowel pins, m6',
    source: PIN_SOURCES.dowel,
    unit: 'mm',
    columns: ['Pin', 'least', 'most', 'Hard (ISO 8734)'],
    rows: () =>
      DOWELS_MM.map((d) => {
        const m6 = zoneDeviations('m6', d);
        return m6.ok ? [d, d + m6.value.lowerMm, d + m6.value.upperMm, d <= MOST_HARD_DOWEL_MM ? 'yes' : 'soft only'] : [d, '–', '–', ''];
      }),
  },
  {
    id: 'spring-pins',
    title: 'Slotted spring pins, hole H12',
    source: PIN_SOURCES.spring,
    unit: 'mm',
    columns: ['Pin and hole', 'Hole, most'],
    rows: () =>
      SPRING_PINS_MM.map((d) => {
        const h12 = zoneDeviations('H12', d);
        return [d, h12.ok ? d + h12.value.upperMm : '–'];
      }),
  },
  {
    id: 'dowels-inch',
    title: 'Dowel pins, inch',
    source: PIN_SOURCES.dowelInch,
    unit: 'in',
    columns: ['Pin', 'least', 'most'],
    rows: () =>
      DOWELS_INCH.map((d) => [d, d + DOWEL_INCH_OVER.least, d + DOWEL_INCH_OVER.most]).map((row) => row.map((x) => x * MM_PER_INCH)),
  },
  {
    id: 'spring-pins-inch',
    title: 'Slotted spring pins, inch',
    source: PIN_SOURCES.springInch,
    unit: 'in',
    columns: ['Pin', 'Hole, least', 'Hole, most'],
    rows: () => SPRING_PINS_INCH.map((row) => row.map((x) => x * MM_PER_INCH)),
  },
  {
    id: 'taper-pins',
    title: 'Taper pins',
    source: `${PIN_SOURCES.taper}, ${PIN_SOURCES.taperInch}`,
    unit: 'mm',
    columns: ['Pin', 'Size', 'Named by', 'Taper'],
    rows: () => TAPER_PINS.map((p) => [p.name, p.namedMm, p.namedBy, `1:${p.ratio}`]),
  },
  {
    id: 'o-rings',
    title: 'O-rings',
    source: ORING_SOURCE,
    unit: 'in',
    columns: ['Ring', 'Inside', 'Section'],
    rows: () => ORINGS.filter((r) => r.unit === 'in' && r.port === null).map((r) => [r.name, r.insideMm, r.sectionMm]),
  },
  {
    id: 'o-rings-metric',
    title: 'O-rings, metric',
    source: ORING_METRIC_SOURCE,
    unit: 'mm',
    columns: ['Ring', 'Inside', 'Section'],
    rows: () => ORINGS.filter((r) => r.unit === 'mm' && r.port === null).map((r) => [r.name, r.insideMm, r.sectionMm]),
  },
  {
    id: 'o-rings-port',
    title: 'O-rings of straight-thread ports',
    source: `${ORING_PORT_SOURCE}; ${ORING_PORT_METRIC_SOURCE}`,
    unit: 'mm',
    columns: ['Port', 'Ring', 'Inside', 'Section'],
    rows: () => ORINGS.flatMap((r) => (r.port ? [[r.port, r.name, r.insideMm, r.sectionMm]] : [])),
  },
  {
    id: 'lip-seals',
    title: 'Lip seals',
    source: LIP_SEAL_SOURCE,
    unit: 'mm',
    columns: ['Shaft', 'Housing', 'Width'],
    rows: () => LIP_SEAL_SIZES.filter((s) => s.unit === 'mm').map((s) => [s.shaftMm, s.boreMm, s.widthMm]),
  },
  {
    id: 'lip-seals-inch',
    title: 'Lip seals, inch',
    source: LIP_SEAL_INCH_SOURCE,
    unit: 'in',
    columns: ['Shaft', 'Housing', 'Width'],
    rows: () => LIP_SEAL_SIZES.filter((s) => s.unit === 'in').map((s) => [s.shaftMm, s.boreMm, s.widthMm]),
  },
  {
    id: 'materials',
    title: 'Materials',
    source: MATERIAL_SOURCE,
    unit: 'mm',
    columns: ['Material', 'Condition', 'Yield MPa', 'Tensile MPa', 'E GPa', 'Expansion 10⁻⁶/K', 'HSS m/min', 'Carbide m/min'],
    rows: () =>
      MATERIALS.map((m) => [
        m.name,
        m.hardness,
        m.yieldMpa === null ? '–' : String(m.yieldMpa),
        String(m.tensileMpa),
        String(m.youngMpa / 1000),
        (m.alphaPerK * 1e6).toFixed(1),
        String(m.speedHss),
        String(m.speedCarbide),
      ]),
  },
];
