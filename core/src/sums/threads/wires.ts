import { bad, good } from '../../terms/outcome';
import { overWires, pitchDiameterFromWires, pitchDiameterMm, threadLimits, THREAD_CLASSES } from '../../book/threads';
import { length, thread, whole } from '../fields';
import { fromTable, given, result } from '../given';
import { circle, size, threadMarks } from '../marks';
import type { Sum } from '../sum';

/** Three wires: what to read, and what a reading means. */
export const wires: Sum = {
  id: 'wires',
  title: 'Three wires',
  about: 'thread measure over wires pitch diameter effective',
  group: 'Threads',
  fields: () => [
    thread('thread', 'Thread', '1/2-13 UNC'),
    length('wire', 'Wire', 1.128, 30, 0.05),
    length('read', 'Read over wires', 13.05, 600, 0.5),
    whole('starts', 'Starts', 1, 1, 8),
  ],
  work: (v) => {
    const t = v.thread('thread');
    if (t.tapered) return bad('tapered', 'A tapered pipe thread is gauged by ring and plug, not over wires.', 'thread');
    const sum = overWires(t, v.number('wire'), undefined, v.number('starts'));
    if (!sum.ok) return { ok: false, problems: sum.problems.map((p) => ({ ...p, path: 'wire' })) };
    const wire = given('wires.wire', 'wire', v.number('wire'));
    const basic = fromTable('wires.basic', `basic pitch diameter of ${t.name}`, pitchDiameterMm(t), t.source);
    const over = result(
      'wires.over',
      'over wires at the basic pitch diameter',
      sum.value.overWiresMm,
      `E + ${t.form.wireFactor.toFixed(5)} W - ${t.form.pitchFactor.toFixed(5)} P, and ${(sum.value.leadCorrectionMm * 1000).toFixed(1)} µm for the lead angle`,
      [basic, wire],
    );
    const read = given('wires.read', 'read over wires', v.number('read'));
    const pd = result(
      'wires.pd',
      'pitch diameter that was cut',
      pitchDiameterFromWires(t, wire.value, read.value, v.number('starts')),
      'the same turned round',
      [read, wire],
    );
    const cls = THREAD_CLASSES[t.system]?.outside[0];
    const limits = cls ? threadLimits(t, 'outside', cls) : null;
    const band = limits?.ok ? limits.value.pitchDiameter : null;
    const inside = band && pd.value <= band.upperMm! + 1e-6 && pd.value >= band.lowerMm! - 1e-6;
    const m = t.majorMm;
    return good({
      figures: [
        over,
        pd,
        result(
          'wires.left',
          'pitch diameter over basic',
          pd.value - basic.value,
          'pitch diameter cut less basic; below the limits it is too small',
          [pd, basic],
        ),
        result('wires.best', 'best wire', sum.value.bestWireMm, `${t.form.bestWire.toFixed(5)} P: it touches at the pitch line`, []),
        result('wires.least', 'smallest wire that will do', sum.value.leastWireMm, 'it must stand out over the crests', []),
        result('wires.most', 'largest wire that will do', sum.value.mostWireMm, 'it must touch the straight flank', []),
      ],
      tables: band
        ? [
            {
              title: `Pitch diameter, class ${cls}`,
              columns: ['From', 'To', 'Cut'],
              rows: [[band.lowerMm!, band.upperMm!, inside ? 'fits' : pd.value > band.upperMm! ? 'still big' : 'too small']],
            },
          ]
        : [],
      picture: [
        ...threadMarks(m, m - 1.2 * t.pitchMm, t.pitchMm, 4),
        circle(wire.value / 2, 'tool', t.pitchMm, m / 2 - t.pitchMm * 0.1),
        circle(wire.value / 2, 'tool', 2 * t.pitchMm, m / 2 - t.pitchMm * 0.1),
        circle(wire.value / 2, 'tool', t.pitchMm * 2, -m / 2 + t.pitchMm * 0.1),
        size('over wires', [4.6 * t.pitchMm, -m / 2 - wire.value / 3], [4.6 * t.pitchMm, m / 2 + wire.value / 3]),
      ],
    });
  },
};
