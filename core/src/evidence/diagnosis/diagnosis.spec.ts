import { CAUSES } from './causes.data';
import { diagnose, type DiagnosisEvidence, type PairEvidence } from './diagnose';
import { FINDINGS } from './findings.data';

const pair = (more: Partial<PairEvidence>): PairEvidence => ({
  holeName: 'Barrel bore',
  pinName: 'Body',
  holeOval: null,
  pinOval: null,
  holeWearMm: null,
  pinWearMm: null,
  holeShape: 'straight',
  playMm: null,
  ...more,
});
const evidence = (more: Partial<DiagnosisEvidence>): DiagnosisEvidence => ({
  pairs: [],
  seatsUnder: [],
  tracks: [],
  bends: [],
  findings: [],
  faultyRepairs: [],
  unit: 'mm',
  ...more,
});
const first = (more: Partial<DiagnosisEvidence>) => diagnose(evidence(more))[0];
const band = (mm: number) => ({ mm, plusMinusMm: 0.01 });

it('names only causes that exist, and every finding has a route', () => {
  for (const f of Object.values(FINDINGS)) {
    expect(f.routes.length).toBeGreaterThan(0);
    for (const cause of Object.keys(f.causes)) expect(CAUSES).toHaveProperty(cause);
  }
});

it.each([
  ['hole oval, pin round', { pairs: [pair({ holeOval: band(0.14), pinOval: band(0.02) })] }, 'load-one-way'],
  ['pin worn on one side, hole round', { pairs: [pair({ holeOval: band(0.01), pinOval: band(0.2) })] }, 'pin-stands'],
  ['hole bell-mouthed', { pairs: [pair({ holeShape: 'bell-mouth' })] }, 'misaligned'],
  ['both worn evenly', { pairs: [pair({ holeWearMm: 0.2, pinWearMm: 0.2, holeOval: band(0.004), pinOval: band(0.003) })] }, 'dirt'],
  ['play and no wear', { pairs: [pair({ holeWearMm: 0.01, playMm: 0.4, holeOval: band(0.005) })] }, 'copied-small'],
  ['seat under its size', { seatsUnder: [{ name: 'Seat', underMm: 0.05 }] }, 'spun-inner'],
  ['a track with sound metal beside it', { tracks: [{ name: 'Seal land', depthMm: 0.2 }] }, 'seal-track'],
  ['a bend', { bends: [{ name: 'Rod', totalMm: 1.2, plusMinusMm: 0.02 }] }, 'overload'],
  ['groove wall ramped', { findings: ['ring-groove-ramped'] }, 'ramped-wall'],
  ['a faulty repair', { faultyRepairs: ['home-made groove'] }, 'earlier-repair'],
] as const)('%s', (_, more, cause) => expect(first(more as Partial<DiagnosisEvidence>)!.causeId).toBe(cause));

it('takes a stepped key for a loose fit or a reversing load, both with their reason', () => {
  const ranked = diagnose(evidence({ findings: ['key-stepped'] }));
  expect(ranked.map((r) => r.causeId).sort()).toEqual(['loose-key', 'reversing']);
  // One thing that was seen is fair evidence, never a certainty.
  expect(ranked.map((r) => r.strength)).toEqual(['fair', 'fair']);
  expect(ranked[0]!.because[0]).toContain('key stepped');
});

it('does not see an oval in what the readings cannot tell from round, and says nothing without evidence', () => {
  expect(diagnose(evidence({ pairs: [pair({ holeOval: { mm: 0.008, plusMinusMm: 0.01 } })] }))).toEqual([]);
  expect(diagnose(evidence({ bends: [{ name: 'Rod', totalMm: 0.01, plusMinusMm: 0.02 }] }))).toEqual([]);
});

it('counts one fact once, and hears what speaks against', () => {
  const once = diagnose(evidence({ findings: ['ring-groove-ramped'] }))[0]!;
  const twice = diagnose(evidence({ findings: ['ring-groove-ramped', 'ring-groove-ramped'] }))[0]!;
  expect(twice.weight).toBe(once.weight);
  const round = diagnose(evidence({ findings: ['tight-then-loose'], pairs: [pair({ holeOval: band(0.001) })] }));
  expect(round.find((c) => c.causeId === 'load-one-way')).toBeUndefined();
});

it('one pin of which nothing was read is one fact, in however many holes it runs', () => {
  const three = ['Near lug', 'Barrel', 'Far lug'].map((holeName) => pair({ holeName, holeOval: band(0.14) }));
  expect(first({ pairs: three })).toMatchObject({ causeId: 'load-one-way', strength: 'fair' });
});
