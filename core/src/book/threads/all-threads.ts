import { MM_PER_INCH, toInchFraction } from '../../terms/quantity';
import { FORMS } from './form';
import { METRIC_COARSE, METRIC_FINE, METRIC_SOURCE } from './metric.data';
import {
  ACME_SERIES,
  ACME_SOURCE,
  BA_ROWS,
  BA_SOURCE,
  CYCLE_SERIES,
  CYCLE_SOURCE,
  MODEL_SERIES,
  TRAPEZOIDAL_ROWS,
  TRAPEZOIDAL_SOURCE,
  WHITWORTH_SERIES,
  WHITWORTH_SOURCE,
} from './other.data';
import { NPT_ROWS, PIPE_55, PIPE_SOURCES } from './pipe.data';
import { inchSize, inchThread, type Thread } from './thread';
import { COMMON_UNIFIED, CONSTANT_PITCH, SCREW_NUMBER, UNIFIED_SERIES, UNIFIED_SOURCE } from './unified.data';

const pairsOf = (line: string): readonly (readonly [size: string, tpi: number])[] =>
  line.split(' ').map((pair) => {
    const cut = pair.lastIndexOf('-');
    return [pair.slice(0, cut), Number(pair.slice(cut + 1))] as const;
  });

const written = (size: string): string => size.replace('_', ' ');

function unifiedOf(series: string, size: string, tpi: number): Thread {
  return inchThread(tpi, {
    name: `${written(size)}-${tpi} ${series.replace(/^\d+-/, '')}`,
    system: 'unified',
    series,
    form: FORMS.iso60,
    common: COMMON_UNIFIED.includes(series),
    source: UNIFIED_SOURCE,
    majorIn: inchSize(size, SCREW_NUMBER),
  });
}

/** Sizes of a constant-pitch series: sixteenths to 1 1/2 in, eighths above. */
function constantPitchSizes(from: number, to: number): string[] {
  const sizes: string[] = [];
  for (let n = from; n <= to; n += n < 24 ? 1 : 2) sizes.push(toInchFraction((n / 16) * MM_PER_INCH, 16).text.replace(' ', '_'));
  return sizes;
}

function unified(): Thread[] {
  const named = Object.entries(UNIFIED_SERIES).flatMap(([series, line]) =>
    pairsOf(line).map(([size, tpi]) => unifiedOf(series, size, tpi)),
  );
  const taken = new Set(named.map((t) => `${t.majorMm}/${t.tpi}`));
  const constant = CONSTANT_PITCH.flatMap(({ series, tpi, fromSixteenths, toSixteenths }) =>
    constantPitchSizes(fromSixteenths, toSixteenths).map((size) => unifiedOf(series, size, tpi)),
  ).filter((t) => !taken.has(`${t.majorMm}/${t.tpi}`));
  return [...named, ...constant];
}

const metricOf = (majorMm: number, pitchMm: number, series: 'coarse' | 'fine', common: boolean): Thread => ({
  name: series === 'coarse' ? `M${majorMm}` : `M${majorMm} x ${pitchMm}`,
  system: 'metric',
  series,
  form: FORMS.iso60,
  majorMm,
  pitchMm,
  unit: 'mm',
  common,
  source: METRIC_SOURCE,
});

const metric = (): Thread[] => [
  ...METRIC_COARSE.map(([d, p]) => metricOf(d, p, 'coarse', true)),
  ...METRIC_FINE.flatMap(([d, ...pitches]) => pitches.map((p, i) => metricOf(d, p, 'fine', i === 0))),
];

const whitworth = (): Thread[] =>
  Object.entries(WHITWORTH_SERIES).flatMap(([series, line]) =>
    pairsOf(line).map(([size, tpi]) =>
      inchThread(tpi, {
        name: `${written(size)} ${series}`,
        system: 'whitworth',
        series,
        form: FORMS.whitworth,
        common: false,
        source: WHITWORTH_SOURCE,
        majorIn: inchSize(size),
      }),
    ),
  );

const cycle = (): Thread[] =>
  pairsOf(CYCLE_SERIES).map(([size, tpi]) =>
    inchThread(tpi, {
      name: `${written(size)}-${tpi} cycle`,
      system: 'cycle',
      series: 'cycle',
      form: FORMS.cycle,
      common: false,
      source: CYCLE_SOURCE,
      majorIn: inchSize(size),
    }),
  );

const model = (): Thread[] =>
  pairsOf(MODEL_SERIES).map(([size, tpi]) =>
    inchThread(tpi, {
      name: `${written(size)}-${tpi} model`,
      system: 'whitworth',
      series: 'model',
      form: FORMS.whitworth,
      common: false,
      source: `model engineers' series, form of ${WHITWORTH_SOURCE}`,
      majorIn: inchSize(size),
    }),
  );

const ba = (): Thread[] =>
  BA_ROWS.map(([number, majorMm, pitchMm]) => ({
    name: `${number} BA`,
    system: 'ba',
    series: 'BA',
    form: FORMS.ba,
    majorMm,
    pitchMm,
    unit: 'mm',
    common: false,
    source: BA_SOURCE,
  }));

const trapezoidal = (): Thread[] =>
  TRAPEZOIDAL_ROWS.flatMap(([majorMm, ...pitches]) =>
    pitches.map((pitchMm, i) => ({
      name: `Tr ${majorMm} x ${pitchMm}`,
      system: 'trapezoidal' as const,
      series: 'Tr',
      form: FORMS.trapezoidal,
      majorMm,
      pitchMm,
      unit: 'mm' as const,
      common: i === 0,
      source: TRAPEZOIDAL_SOURCE,
    })),
  );

const acme = (): Thread[] =>
  pairsOf(ACME_SERIES).map(([size, tpi]) =>
    inchThread(tpi, {
      name: `${written(size)}-${tpi} ACME`,
      system: 'acme',
      series: 'ACME',
      form: FORMS.acme,
      common: true,
      source: ACME_SOURCE,
      majorIn: inchSize(size),
    }),
  );

function pipe(): Thread[] {
  const of = (name: string, series: 'G' | 'R' | 'NPT', tpi: number, majorMm: number): Thread => ({
    name,
    system: 'pipe',
    series,
    form: series === 'NPT' ? FORMS.iso60 : FORMS.whitworth,
    majorMm,
    pitchMm: MM_PER_INCH / tpi,
    unit: 'in',
    tpi,
    common: true,
    source: PIPE_SOURCES[series],
    ...(series === 'G' ? {} : { tapered: true as const }),
  });
  return [
    ...PIPE_55.map(([size, tpi, majorMm]) => of(`G ${size}`, 'G', tpi, majorMm)),
    ...PIPE_55.filter(([, , , gauge]) => gauge !== null).map(([size, tpi, majorMm]) => of(`R ${size}`, 'R', tpi, majorMm)),
    ...NPT_ROWS.map(([size, tpi, outsideIn]) => of(`${size} NPT`, 'NPT', tpi, outsideIn * MM_PER_INCH)),
  ];
}

/** Every thread in the book, common ones of each system first. */
export const THREADS: readonly Thread[] = [
  ...unified(),
  ...metric(),
  ...whitworth(),
  ...ba(),
  ...trapezoidal(),
  ...acme(),
  ...pipe(),
  ...cycle(),
  ...model(),
];

const byName = new Map(THREADS.map((t) => [t.name, t]));

/** The thread of exactly that name, or undefined. */
export const threadOf = (name: string): Thread | undefined => byName.get(name);
