import type { SumResult } from './sum';
import { figure, shop, work, wrongAt } from './testing';

const INCH = 25.4;

/** Sums of the dial, the finder, rings and bushes, held against turning, touching and sliding step by step. */

describe('edge and centre finding', () => {
  /** Where a tool coming from the left first touches a round part about 0, by halving; with a paper between. */
  const touch = (partR: number, toolR: number, paper: number): number => {
    let [far, near] = [-10 * (partR + toolR), 0];
    for (let i = 0; i < 80; i++) {
      const x = (far + near) / 2;
      if (Math.hypot(x, 0) - partR - toolR - paper > 0) far = x;
      else near = x;
    }
    return near;
  };
  it.each([
    [1.9, 0.2, 0, 1.05],
    [1.9, 0.2, 0.003, 1.053],
    [1, 0.5, 0.002, 0.752],
  ])('round %d by a tool of %d with %d between: %d', (part, tool, paper, move) => {
    const r = work('edge-finding', { touched: 'round', part: String(part), tool: String(tool), paper: String(paper) }, 'in');
    expect(figure(r, 'edge.move') / 25.4).toBeCloseTo(move, 9);
    expect(figure(r, 'edge.move') / 25.4).toBeCloseTo(-touch(part / 2, tool / 2, paper), 9);
  });
  it('a line beside an edge, and the middle between two edges whatever the tool', () => {
    expect(
      figure(work('edge-finding', { touched: 'edge', tool: '10', away: '20', paper: '0.05', first: '100' }), 'edge.reading'),
    ).toBeCloseTo(125.05, 9);
    for (const tool of ['4', '10']) {
      const r = work('edge-finding', { touched: 'two', tool, first: '-5', second: '58' });
      expect(figure(r, 'edge.middle')).toBeCloseTo(26.5, 9);
      expect(figure(r, 'edge.width')).toBeCloseTo(63 - Number(tool), 9);
    }
  });
});

describe('plunge by the dial', () => {
  /** Turns a dial line by line until the tool stands at the diameter, and tells full turns and lines. */
  const counted = (fromMm: number, toMm: number, unitMm: number, perTurn: number, perLine: number, radius: boolean) => {
    let [lines, diameter] = [0, fromMm];
    const each = perLine * unitMm * (radius ? 2 : 1);
    while (diameter - each >= toMm - 1e-9) {
      diameter -= each;
      lines++;
    }
    const a = Math.round(perTurn / perLine);
    return { turns: Math.floor(lines / a), lines: lines % a };
  };
  it('0.8745 to 0.812 in on a radius dial of 0.200 a turn in thou: 0.03125 in', () => {
    const r = work('plunge', { from: '0.8745', to: '0.812', unit: 'in', turn: '0.2', line: '0.001' }, 'in');
    expect(figure(r, 'plunge.travel') / 25.4).toBeCloseTo(0.03125, 9);
    // As near as half a line of the dial comes.
    expect(Math.abs(Number(r.answer!.text) - 0.03125)).toBeLessThanOrEqual(0.00025 + 1e-9);
  });
  it.each([
    [30, 24, 'mm', 1, 4, 0.02, 'radius'],
    [50, 41, 'mm', 1, 5, 0.05, 'diameter'],
    [2, 1.5, 'in', 25.4, 0.1, 0.001, 'radius'],
    [2, 1.5, 'in', 25.4, 0.2, 0.001, 'diameter'],
  ] as const)('%d to %d %s agrees with a dial turned line by line', (from, to, unit, unitMm, turn, line, reads) => {
    const r = work('plunge', { from: String(from), to: String(to), unit, turn: String(turn), line: String(line), reads }, unit);
    const c = counted(from * unitMm, to * unitMm, unitMm, turn, line, reads === 'radius');
    const [turns, rest] = /turn/.test(r.answer!.text) ? r.answer!.text.split(/ turns? \+ /) : ['0', r.answer!.text];
    expect(Number(turns)).toBe(c.turns);
    expect(Number(rest)).toBeCloseTo(c.lines * line, 6);
  });
  it('refuses a bore that gets smaller, and a dial that shows more than a turn', () => {
    expect(wrongAt('plunge', { from: '20', to: '22' })).toEqual(['to']);
    expect(wrongAt('plunge', { turn: '4', at: '4.2' })).toEqual(['at']);
  });
});

describe('ring in its groove', () => {
  it('may stand wherever it fits between the walls: groove 3.20, ring 2.50, wall at 8.10', () => {
    const r = work('ring-room', { wall: '8.1', width: '3.2', ring: '2.5', stack: '20', stop: '31' });
    const stands = Array.from({ length: 20_001 }, (_, i) => i / 1000).filter((x) => x >= 8.1 - 1e-9 && x + 2.5 <= 8.1 + 3.2 + 1e-9);
    expect(figure(r, 'room.near-least')).toBeCloseTo(Math.min(...stands), 6);
    expect(figure(r, 'room.near-most')).toBeCloseTo(Math.max(...stands), 6);
    // What it holds slides between the stop and the ring pushed against its outer wall.
    const slides = Array.from({ length: 31_001 }, (_, i) => i / 1000).filter((x) => x >= 8.1 + 2.5 - 1e-9 && x + 20 <= 31 + 1e-9);
    expect(figure(r, 'room.play')).toBeCloseTo(Math.max(...slides) - Math.min(...slides), 6);
  });
  it('says when the ring does not reach its groove', () => {
    expect(work('ring-room', { wall: '8.1', width: '3.2', ring: '2.5', stack: '25', stop: '35' }).words![0]).toContain('too long');
    expect(wrongAt('ring-room', { ring: '4', width: '3.2' })).toEqual(['ring']);
  });
});

describe('threaded bush for a hole that must be cleaned up', () => {
  const rows = (r: SumResult, title: string) => r.tables!.find((t) => t.title.startsWith(title))?.rows ?? [];
  it('5/16 BSF in a hole that cleans up at 0.451: 1/2 BSF (minor 0.420) does not, 9/16 BSF does with a wall of 0.085', () => {
    const half = work('thread-bush', { inner: '5/16 BSF', outer: '1/2 BSF', hole: '0.451', boss: '1.24' }, 'in');
    expect(half.words![0]).toContain('does not clean the old hole up');
    const outer = work('thread-bush', { inner: '5/16 BSF', outer: '9/16 BSF', hole: '0.451', boss: '1.24' }, 'in');
    expect(figure(outer, 'bush.wall') / 25.4).toBeCloseTo(0.085, 3);
    expect(figure(outer, 'bush.least') / 25.4).toBeCloseTo(0.0455, 3);
    expect((1.24 * 25.4) / 2 - (9 / 32) * 25.4).toBeCloseTo(figure(outer, 'bush.boss'), 6);
    const bsf = rows(outer, 'Outside threads').map((x) => String(x[0]));
    expect(bsf).toContain('9/16 BSF');
    expect(bsf).not.toContain('1/2 BSF');
    for (const row of rows(outer, 'Outside threads')) expect(row[1] as number).toBeGreaterThanOrEqual(0.451 * 25.4);
  });
  it('proposes none where the boss ends before', () =>
    expect(work('thread-bush', { inner: 'M10', outer: 'M16 x 1.5', boss: '14' }).words!.join(' ')).toContain('No thread in common use'));
});

it('shims and saw lists of an inch bench are in inches, as sold and as spoken', () => {
  const pack = work('shims', { target: '0.038' }, 'in');
  expect(String(pack.tables![0]!.rows[0]![0])).toMatch(/^1 x 0\.0\d+/);
  expect(pack.figures[0]!.value / 25.4).toBeCloseTo(0.038, 6);
  const saw = work('offcuts', {}, 'in');
  expect(String(saw.tables![0]!.rows[0]![1])).toContain('4.75');
  expect(String(saw.tables![0]!.rows[0]![1])).not.toContain('120');
});

it('an O-ring of its own sizes is worked like one of the list, and its gap is held against what it bridges', () => {
  const listed = work('o-ring', { ring: '-214' });
  const typed = work('o-ring', { ring: 'typed', inside: String(0.984 * 25.4), section: String(0.139 * 25.4) });
  expect(figure(typed, 'oring.squeeze')).toBeCloseTo(figure(listed, 'oring.squeeze'), 9);
  const state = (play: string) => work('o-ring', { play, pressure: '7' }).tables![0]!.rows.at(-1)!;
  expect(state('0.07')[2]).toBe('fits');
  expect(state('0.2')[2]).toBe('out');
});

describe('drills that hang in the crib', () => {
  const crib = (kind: 'metric' | 'fraction', fromMm: number, toMm: number, stepMm: number) => ({
    ...shop,
    drillSets: [{ id: 'x', version: 1, kind, fromMm, toMm, stepMm }],
  });
  const text = (r: SumResult): string => r.answer!.text;
  it('are named in the table of tap drills, and come first', () => {
    const r = work('tap-drill', { thread: 'M10', set: 'all' }, 'mm', crib('metric', 1, 13, 0.5));
    expect(text(r)).toBe('8.5 mm');
    expect(r.tables![0]!.columns.at(-1)).toBe('In the crib');
    expect(r.tables![0]!.rows.map((row) => row.at(-1))).toContain('no');
    expect(work('tap-drill', { thread: 'M10', set: 'all' }).tables![0]!.columns).not.toContain('In the crib');
  });
  it('go before a reamer where they leave no more than it should take', () => {
    // Before 10 mm, 0.15 to 0.3: 9.8 is the largest that is sold; 9.7 is within, 9.5 leaves too much.
    expect(text(work('ream-ladder', { reamer: '10' }))).toBe('9.8 mm');
    expect(text(work('ream-ladder', { reamer: '10' }, 'mm', crib('metric', 9.7, 9.7, 0.1)))).toBe('9.7 mm');
    expect(text(work('ream-ladder', { reamer: '10' }, 'mm', crib('metric', 1, 9.5, 0.5)))).toBe('9.8 mm');
  });
});

describe('taper pin', () => {
  // Hub 1.90 over a shaft of 1.498: ASME B18.8.2 No. 5 is 0.289 at its large end, No. 6 0.341; each tapers 1/4 in a foot.
  const drum = { small: '0.2492', long: '1.90', 'hole-small': '0.262', 'hole-large': '0.301', shaft: '1.498', torque: '150 lbf·ft' };
  const r = work('taper-pin', drum, 'in');
  const inches = (key: string): number => figure(r, key) / INCH;
  const ksi = (key: string): number => figure(r, key) / 6.894757;

  it('No. 5 worn to 0.2492: No. 6 cleans up both ends, its small end 0.301', () => {
    expect(r.words![0]).toContain('number 5');
    expect(r.answer!.text).toContain('number 6');
    expect(inches('taper-pin.large')).toBeCloseTo(0.341, 4);
    expect(inches('taper-pin.small')).toBeCloseTo(0.3014, 4);
    expect(inches('taper-pin.straight')).toBeCloseTo(0.301, 4);
  });

  it('150 lbf·ft is 1,202 lbf on each of two planes: 23.8 ksi at the old pin’s thin one', () => {
    expect(figure(r, 'taper-pin.force') / 4.448222).toBeCloseTo(1201.6, 0);
    expect(ksi('taper-pin.shear-old')).toBeCloseTo(23.8, 1);
    // The next straight one is 5/16: 19/64, 0.297, is under the worn 0.301.
    expect(inches('taper-pin.straight-pin')).toBe(0.3125);
    expect(ksi('taper-pin.shear-straight')).toBeCloseTo(15.7, 1);
    const metric = work('taper-pin', {
      ...drum,
      small: '6 mm',
      long: '50 mm',
      'hole-small': '6.3 mm',
      'hole-large': '7.65 mm',
      shaft: '38 mm',
    });
    expect(figure(metric, 'taper-pin.straight-pin')).toBe(8);
  });

  it.each([['150 lbf·ft'], ['150 ft-lb'], ['1800 in-lb'], ['203.373 Nm'], ['203.373']])('takes a torque as %s', (torque) =>
    expect(figure(work('taper-pin', { ...drum, torque }, 'in'), 'taper-pin.force')).toBeCloseTo(figure(r, 'taper-pin.force'), 0),
  );

  it('a metric pin stays metric, cleans up both ends and not one of them', () => {
    const metric = work('taper-pin', { small: '6', long: '50', 'hole-small': '7.2', 'hole-large': '7.3', shaft: '38', torque: '200' });
    expect(metric.words![0]).toContain('6 mm');
    expect(metric.answer!.text).toContain('8 mm');
  });

  it('refuses a pin shorter than its shaft, and a hole larger than any pin', () => {
    expect(wrongAt('taper-pin', { shaft: '60', long: '48' })).toEqual(['shaft']);
    expect(wrongAt('taper-pin', { 'hole-large': '55', 'hole-small': '55' })).toEqual(['hole-large']);
  });
});

describe('bevel gears: backlash to shims', () => {
  it('mitres of 20°, 0.018 found and 0.008 wanted: 0.0194 off the pack', () => {
    const r = work('backlash', { found: '0.018', wanted: '0.008', moved: '20', mate: '20', 'pressure-angle': '20' }, 'in');
    expect(figure(r, 'backlash.shims') / INCH).toBeCloseTo(0.0194, 4);
    expect(r.words![0]).toContain('goes in');
  });

  it('is what two flanks leave when a cone is slid along its axis', () => {
    // The pitch cone’s flank, pressure angle off the cone’s normal, is slid by s along the axis: the gap in the normal direction,
    // taken along the pitch circle, by vectors instead of the formula.
    const [alpha, delta, s] = [(14.5 * Math.PI) / 180, Math.atan(15 / 45), 0.37];
    // Axes at a point of the pitch circle: x round, y outward along the back cone (normal to the cone), axis direction split on it.
    const slide = [0, s * Math.sin(delta)] as const;
    const gap = (side: 1 | -1): number => (slide[0] * side * Math.cos(alpha) + slide[1] * Math.sin(alpha)) / Math.cos(alpha);
    const r = work('backlash', { found: String(gap(1) + gap(-1)), wanted: '0', moved: '15', mate: '45', 'pressure-angle': '14.5' });
    expect(figure(r, 'backlash.shims')).toBeCloseTo(s, 6);
  });

  it('puts shims to the pack where it is too tight, and says when it is right', () => {
    expect(work('backlash', { found: '0.1', wanted: '0.2' }).words![0]).toContain('goes out');
    expect(wrongAt('backlash', { found: '0.2', wanted: '0.2' })).toEqual(['wanted']);
  });
});

describe('what hangs in the crib is named', () => {
  const tap = { id: 't', kind: 'tap', sizeMm: null, thread: 'M10', note: 'plug', pieces: 1, version: 1 } as const;
  const reamer = { id: 'r', kind: 'reamer', sizeMm: 12.7, thread: '', note: '', pieces: 1, version: 1 } as const;
  const with2 = { ...shop, tools: [tap, reamer] };

  it('a tap by its thread, and that there is none', () => {
    expect(work('tap-drill', { thread: 'M10' }, 'mm', with2).words).toContain('A tap for it hangs in the crib: plug.');
    expect(work('tap-drill', { thread: 'M12' }, 'mm', with2).words).toContain('No M12 tap hangs in the crib.');
  });

  it('a reamer by its size, in either unit', () => {
    expect(work('ream-ladder', { reamer: '1/2' }, 'in', with2).words).toContain('That reamer hangs in the crib.');
    expect(work('ream-ladder', { reamer: '12' }, 'mm', with2).words).toContain('No reamer of that size hangs in the crib.');
  });

  it('a crib in which no taps are listed says nothing of them', () => {
    expect(work('tap-drill', { thread: 'M10' }).words!.join()).not.toContain('crib');
  });
});

describe('boring bar', () => {
  it('a steel bar of 16 standing out 64 gives way as the beam tables have it, eight times as far at twice the length', () => {
    const short = work('boring-bar', { bar: '16', out: '64' });
    const push = figure(short, 'bar.push');
    // 16 thick is 3217 mm⁴.
    expect(figure(short, 'bar.bend')).toBeCloseTo((push * 64 ** 3) / (3 * 210_000 * 3217), 7);
    expect(figure(work('boring-bar', { bar: '16', out: '128' }), 'bar.bend')).toBeCloseTo(8 * figure(short, 'bar.bend'), 9);
    expect(figure(short, 'bar.on-diameter')).toBeCloseTo(2 * figure(short, 'bar.bend'), 12);
  });
  it('chatters beyond its ratio, a carbide one later, and says where no force is known', () => {
    const said = (shank: string): string => work('boring-bar', { bar: '16', out: '80', shank }).words!.join(' ');
    expect(said('steel')).toContain('It chatters');
    expect(said('carbide')).not.toContain('It chatters');
    expect(wrongAt('boring-bar', { material: 'pom' })).toEqual(['material']);
  });
});
