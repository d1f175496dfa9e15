import { bad, good } from '../../terms/outcome';
import {
  GAP_SOURCE,
  glandOf,
  mostGapMm,
  oringOf,
  ORINGS,
  oringsFor,
  type GlandKind,
  type ORing,
  type RingHardness,
} from '../../book/seals';
import { choice, length, number } from '../fields';
import { fromTable, given, result } from '../given';
import { circle, line, rectangle, size } from '../marks';
import type { Sum } from '../sum';
import type { SumValues } from '../values';

const KINDS = (['moving rod', 'moving piston', 'static rod', 'static piston', 'rotating rod'] as const).map((k) => [k, k] as const);

/** The ring of the list, or one typed by its sizes. */
const ringOf = (v: SumValues): Pick<ORing, 'name' | 'insideMm' | 'sectionMm'> | undefined =>
  v.choice('ring') === 'typed'
    ? { name: 'typed', insideMm: v.number('inside'), sectionMm: v.number('section') }
    : oringOf(v.choice('ring'));

/** O-ring gland: squeeze, stretch, fill, and the gap that it must bridge. */
export const oring: Sum = {
  id: 'o-ring',
  title: 'O-ring gland',
  about: 'o-ring squeeze stretch fill groove seal AS568 metric extrusion gap back-up ring',
  group: 'Keys, rings, seals',
  fields: () => [
    choice(
      'ring',
      'Ring',
      [
        ['typed', 'its own inside and section, typed below'] as const,
        ...ORINGS.filter((r) => r.port === null).map(
          (r) =>
            [
              r.name,
              r.unit === 'in' ? `${r.name}  (${(r.insideMm / 25.4).toFixed(3)} x ${(r.sectionMm / 25.4).toFixed(3)} in)` : `${r.name} mm`,
            ] as const,
        ),
      ],
      '-214',
    ),
    length('inside', 'Inside, where it is typed', 25, 1000, 1),
    length('section', 'Section, where it is typed', 3, 20, 0.5),
    choice('kind', 'Gland', KINDS),
    length('runs', 'Rod, or bore of the cylinder', 25.4, 500, 1),
    length('groove', 'Groove diameter', 31.55, 500, 1),
    length('width', 'Groove width', 4.75, 50, 0.5),
    number('pressure', 'Pressure', 'MPa', 7, 0, 100),
    length('play', 'Play past the ring, on the diameter', 0.06, 10, 0),
    choice('shore', 'Hardness of the ring', [
      ['70', '70 Shore A'],
      ['90', '90 Shore A'],
    ]),
  ],
  work: (v) => {
    const ring = ringOf(v);
    if (!ring) return bad('ring', 'Choose a ring of the list.', 'ring');
    const kind = v.choice<GlandKind>('kind');
    const gland = glandOf({
      ring,
      kind,
      runsOnMm: v.number('runs'),
      grooveMm: v.number('groove'),
      grooveWidthMm: v.number('width'),
      pressureMpa: v.number('pressure'),
    });
    const field: Record<string, string> = { runsOnMm: 'runs', grooveMm: 'groove', grooveWidthMm: 'width' };
    if (!gland.ok) return { ok: false, problems: gland.problems.map((p) => ({ ...p, path: field[p.path] ?? p.path })) };
    const g = gland.value;
    const sitsOn = kind.endsWith('rod') ? v.number('runs') : v.number('groove');
    const depth = given('oring.depth', 'room across the section', g.depthMm);
    const w = v.number('width');
    const play = given('oring.play', 'play on the diameter', v.number('play'));
    // Where nothing centres the parts all of the play lies on one side.
    const gap = result('oring.gap', 'gap on one side, pushed over', play.value, 'all of the play on one side', [play]);
    const most = mostGapMm(ring.sectionMm, v.number('pressure'), Number(v.choice('shore')) as RingHardness);
    const bridged = most !== null && gap.value <= most + 1e-9;
    return good({
      figures: [
        result(
          'oring.squeeze',
          'squeeze',
          g.squeeze,
          '1 - room / section of the stretched ring',
          [depth, result('oring.section', 'section, stretched', g.sectionMm, 'the ring stretches thinner', [])],
          'probability',
        ),
        result('oring.stretch', 'stretch', g.stretch, 'what it sits on / its inside diameter - 1', [], 'ratio'),
        result('oring.fill', 'groove filled', g.fill, 'section area / groove area', [], 'probability'),
        depth,
        gap,
        ...(most === null ? [] : [fromTable('oring.most-gap', 'gap that it bridges at this pressure', most, GAP_SOURCE)]),
      ],
      tables: [
        {
          title: 'Against usual practice',
          columns: ['What', 'Is', 'State'],
          rows: [
            ...g.findings.map((f) => [f.what, f.words, f.fits ? 'fits' : 'out']),
            [
              'gap',
              most === null
                ? 'over what a bare ring bridges at any gap: back-up rings'
                : bridged
                  ? 'bridged'
                  : 'pushed into it: less play, a harder ring, or back-up rings',
              bridged ? 'fits' : 'out',
            ],
          ],
        },
      ],
      words: [
        `Rings that suit the gland best: ${oringsFor(kind, sitsOn, g.depthMm, 3)
          .map((r) => r.name)
          .join(', ')}.`,
        'Lead-in chamfer 15° to 20° where it slides over; replace every ring that was disturbed.',
      ],
      ...(g.backUp
        ? { caution: 'Oil under this pressure goes through skin. Back-up rings, and proof test with oil, bled, behind a shield.' }
        : {}),
      picture: [
        line('part', [-w, 0], [0, 0], [0, -g.depthMm * 0.95], [w, -g.depthMm * 0.95], [w, 0], [2 * w, 0]),
        line('mate', [-w, g.depthMm * 0.05], [2 * w, g.depthMm * 0.05]),
        circle(g.depthMm / 2, 'tool', w / 2, -g.depthMm * 0.45),
        rectangle(-w, g.depthMm * 0.05, 3 * w, g.depthMm * 0.5, 'mate'),
        size('width', [0, -g.depthMm * 1.3], [w, -g.depthMm * 1.3]),
      ],
    });
  },
};
