import {
  capital,
  CAUTIONS,
  COST_ACTS,
  crossSlide,
  customersWay,
  formatLength,
  handsPrice,
  isDrawn,
  materialOf,
  moneyWords,
  onDial,
  PASS_WORDS,
  passDial,
  sentence,
  sawFraction,
  showValue,
  spentAgainst,
  toldCuts,
  turnsWords,
  writtenDimension,
  type BlockPlan,
  type Dialled,
  type Dimension,
  type Figure,
  type HoldWay,
  type ItemFinding,
  type JobSheet,
  type LengthUnit,
  type PartFinding,
  type PlanFinding,
  type Repair,
  type SegmentPasses,
  type Shop,
  type Side,
  type Lathe,
  type Schedule,
} from '@iron-patch/core';
import { Paper } from './paper';
import { drawPart } from './part-picture';

/** The slip for the machine: sizes, stock, set-ups, ladder and cautions; and, once hours are on record, what it took. */
export function jobSlip(sheet: JobSheet, repair: Repair, shop: Shop): Promise<Buffer> {
  const { job } = sheet;
  const { unit } = job;
  const paper = new Paper(`Job slip ${job.number}`, shop.card.decimalMark);
  paper.heading(job.number, job.title, `Job slip for the machine. ${sheet.customer.name}, ${job.machine}. All sizes in ${unit} at 20 °C.`);
  const drawn = repair.items.filter((i) => i.part);
  const rest = repair.items.filter((i) => !i.part && !i.item.proposed);
  if (!drawn.length && !rest.length) {
    paper.paragraph('Nothing is drawn yet. Finish Decide and Draw, then print again.', 12);
    return paper.finish();
  }
  drawn.forEach((item, i) => {
    if (i) paper.newPage();
    if (repair.items.length > 1 || item.item.quantity > 1)
      paper.section(`${item.number} ${item.item.name}${item.item.quantity > 1 ? `, ${item.item.quantity} off` : ''}`);
    if (item.item.route) paper.paragraph(`Route: ${item.item.route}.`);
    ofPart(paper, sheet, item.part!, item.plan);
    ofRework(paper, item, unit);
    if (item.blockPlan) ofBlock(paper, sheet, item.blockPlan);
  });
  for (const { item, number, holes, lathe } of rest) {
    paper.section(`${number} ${item.name}${item.quantity > 1 ? `, ${item.quantity} off` : ''}`);
    if (item.route) paper.paragraph(`Route: ${item.route}.`);
    const words =
      item.kind === 'buy' ? `To buy: ${item.size || 'size not on record'}. ${item.source}` : item.steps.map((s) => s.what).join('; ');
    paper.paragraph(words || 'Nothing is on record of how.');
    if (lathe) ofSchedules(paper, holes, lathe, unit);
  }
  ofTime(paper, sheet, shop);
  return paper.finish();
}

/** Each number to set with its dial, the cuts one after another, and what to mind. */
function ofSchedules(paper: Paper, schedules: readonly Schedule[], lathe: Lathe, unit: LengthUnit): void {
  for (const s of schedules) {
    if (s.settings.length)
      paper.table(
        [s.title, 'set to', 'on the dial'],
        s.settings.map((x) => [x.figure.label, showValue(x.figure, unit), onDial(x, lathe)]),
        [5, 2, 3],
      );
    const cuts = toldCuts(s, lathe, unit);
    if (cuts) paper.paragraph(`${capital(cuts.on)} ${cuts.each.join(', ')}.`);
    if (s.words.length) paper.paragraph(s.words.join(' '), 8.5);
  }
}

/** Where the holes of a block lie from two edges, and how far the table goes to them once the finder touched those. */
function ofHoles(paper: Paper, holes: BlockPlan['holes'], unit: LengthUnit): void {
  if (!holes.length) return;
  paper.section('Holes, from two edges');
  const place = (at: Figure, edge: string, { far, dial }: BlockPlan['holes'][number]['go'][number]): string =>
    `${formatLength(at.value, unit)} from the ${edge}; touched, go ${formatLength(far.value, unit)}${dial ? ` (${dial})` : ''}`;
  paper.table(
    ['Hole', 'from one edge', 'from the other', 'drill'],
    holes.map((h) => [
      `${h.letter} ${h.name}, ${h.face}`,
      place(h.first, h.edges[0], h.go[0]),
      place(h.second, h.edges[1], h.go[1]),
      `${h.drill}${h.rpm ? `, ${showValue(h.rpm, unit)}` : ''}`,
    ]),
    [4, 5, 5, 4],
  );
  paper.paragraph('Touch each edge with the finder and zero there: half the finder is in it. A paper between comes on top.');
}

/** Passes of what is not cut from the bar, and whose dial sets them. */
function ofBored(paper: Paper, passes: readonly SegmentPasses[], on: Dialled, unit: LengthUnit): void {
  paper.paragraph(`Set by: ${on.name}, ${on.cross.unit} on ${on.cross.reads}, from where the tool first touches. ${on.words}`, 8.5);
  ofPasses(paper, passes, on, unit);
}

/** What is cut of a component that stays: how it is held, its passes by the dial that sets them, what goes on the cut. */
function ofRework(paper: Paper, { rework, boring, blockPlan, lathe }: ItemFinding, unit: LengthUnit): void {
  const part = (title: string, way: Pick<HoldWay<string>, 'hold' | 'cautions' | 'cannot'> | null, side: Side, on: Dialled | null): void => {
    if (!way) return;
    const own = rework?.passes.filter((x) => x.segment.segment.side === side) ?? [];
    paper.section(title);
    paper.paragraph([`Hold: ${way.hold}.`, way.cannot, ...way.cautions].filter(Boolean).join(' '));
    if (on && own.some((x) => x.passes.ok)) {
      ofBored(paper, own, on, unit);
    }
    for (const x of own) if (!x.passes.ok) paper.paragraph(`${x.segment.segment.name}: ${x.passes.problems[0]!.message}`, 9);
  };
  part('While it is turned again', rework?.turned?.chosen ?? null, 'outside', lathe && crossSlide(lathe));
  if (!blockPlan) part('While it is bored', boring?.chosen ?? null, 'inside', rework?.bores ?? null);
  const mind = [...(rework?.problems ?? []), ...(rework?.minds ?? []), ...(rework?.pushed ?? []).map((p) => p.words)].filter(Boolean);
  if (mind.length) paper.paragraph(mind.join(' '), 9);
  if (rework?.coolant.length) paper.paragraph(`On the cut. ${rework.coolant.join(' ')}`, 8.5);
}

/** What a block is cut from, and face by face how. */
function ofBlock(paper: Paper, { job }: JobSheet, { stock, holes, setUps, bored, milled }: BlockPlan): void {
  paper.section('Stock');
  paper.paragraph(`At least ${stock.map((f) => formatLength(f.value, job.unit, 1)).join(' x ')} ${job.unit}.`);
  ofHoles(paper, holes, job.unit);
  if (bored) {
    if (bored.bores) ofBored(paper, bored.passes, bored.bores, job.unit);
    const mind = [...bored.problems, ...bored.pushed.map((p) => p.words)].filter(Boolean);
    if (mind.length) paper.paragraph(mind.join(' '), 9);
  }
  if (milled)
    paper.paragraph(
      `${capital(milled.rpm.label)} ${showValue(milled.rpm, job.unit)}, ${milled.feed.label} ${showValue(milled.feed, job.unit)}.`,
      9,
    );
  for (const s of setUps) {
    paper.section(`Set-up ${s.number}: ${s.title}`);
    paper.paragraph(`Hold: ${s.hold}. Zero: ${s.zeroFace}. ${s.operations.join('; ')}. ${s.cautions.join(' ')}`);
    if (s.coolant.length) paper.paragraph(`On the cut. ${s.coolant.join(' ')}`, 8.5);
  }
}

const hours = (minutes: number | null): string => (minutes === null ? '' : (minutes / 60).toFixed(1));

/** What it took against what was estimated when its way was chosen, and what that comes to at the shop's hour. */
function ofTime(paper: Paper, sheet: JobSheet, { rates }: Shop): void {
  const rows = spentAgainst(sheet);
  if (!rows.some((r) => r.tookMin !== null)) return;
  const sum = (of: 'estimatedMin' | 'tookMin'): number => rows.reduce((s, r) => s + (r[of] ?? 0), 0);
  paper.section('Time against the estimate');
  paper.table(
    ['Act', 'estimated, h', 'took, h'],
    [
      ...rows.map((r) => [COST_ACTS[r.act].name, hours(r.estimatedMin), hours(r.tookMin)]),
      ['All', hours(sum('estimatedMin')), hours(sum('tookMin'))],
    ],
    [4, 2, 2],
  );
  const way = customersWay(sheet.quotes);
  const quoted =
    way && way.priceMinor !== null ? ` Quoted with all that is in it: ${moneyWords(way.priceMinor, rates?.currency ?? '')}.` : '';
  if (rates)
    paper.paragraph(
      `Hands as estimated ${moneyWords(100 * handsPrice(sum('estimatedMin'), rates), rates.currency)}, as spent ${moneyWords(100 * handsPrice(sum('tookMin'), rates), rates.currency)}.${quoted}`,
    );
}

/** What is turned to size in a set-up, a line for each surface: its passes with where the cross slide stands for each, how fast, and the feed. */
function ofPasses(paper: Paper, passes: readonly SegmentPasses[], on: Pick<Dialled, 'cross'>, unit: LengthUnit): void {
  for (const x of passes.filter((p) => p.passes.ok)) {
    const { name, side } = x.segment.segment;
    const rpm = { rough: x.roughRpm, finish: x.finishRpm };
    const all = x.passes.ok ? x.passes.value : [];
    const told = (['rough', 'finish'] as const).flatMap((kind) => {
      const each = all.filter((p) => p.kind === kind).map((p) => `${formatLength(p.toMm, unit)} at ${passDial(x, p, on)}`);
      const fast = rpm[kind] ? `${showValue(rpm[kind], unit)}, feed ${formatLength(x.feeds[kind].value, unit)}` : '';
      return each.length ? [[`${PASS_WORDS[kind]} ${each.join(', ')}`, fast].filter(Boolean).join('; ')] : [];
    });
    paper.paragraph(`${name}${side === 'inside' ? ', bored' : ''}: ${told.join('. ')}.`, 9);
  }
}

/** What the machine needs of one item. */
function ofPart(paper: Paper, { job }: JobSheet, part: PartFinding, plan: PlanFinding | null): void {
  const { unit } = job;
  const show = (mm: number, decimals?: number): string => formatLength(mm, unit, decimals);
  if (isDrawn(part.part) && !part.problems.length) drawPart(paper, part.part);
  paper.section('Sizes');
  paper.table(
    ['Segment', 'turn to', 'from', 'to', 'length'],
    part.segments.map((s) => [
      s.segment.name + (s.segment.side === 'inside' ? ', bore' : ''),
      show(s.diameter.value),
      show(s.limits.lowerMm),
      show(s.limits.upperMm),
      show(s.segment.lengthMm, unit === 'mm' ? 2 : 3),
    ]),
    [3, 2, 2, 2, 2],
  );
  const round = new Set(part.segments.map((s) => s.segment.id));
  const isTold = ({ ownerId, key, surface }: Dimension): boolean => (part.part.block ? round.has(key) : ownerId === surface.id);
  const rest = part.dimensions.filter((d) => !isTold(d.dimension));
  if (rest.length)
    paper.table(
      ['Cut into it', 'limits', 'by'],
      rest.map((d) => [capital(d.dimension.label), writtenDimension(d, unit), d.words]),
      [5, 4, 4],
    );
  for (const s of part.segments.filter((x) => x.fits.length)) paper.paragraph(sentence(s.fits[0]!.figures!.upper, unit), 8);
  paper.section('Cautions');
  const planned = [...new Set(plan?.setUps.flatMap((s) => s.setUp.cautions) ?? [])];
  const ofJob = job.hazards.map((h) => `${CAUTIONS[h].what} ${CAUTIONS[h].why} ${CAUTIONS[h].who}`);
  paper.paragraph([...ofJob, ...planned].join(' ') || 'None on record.', 8.5);
  if (plan) {
    paper.section('Stock and machine');
    const bar = plan.bar
      ? `${show(plan.bar.diameterMm, 1)} bar from ${plan.bar.place}, ${materialOf(plan.bar.materialId)?.name ?? ''}`
      : 'no bar chosen';
    paper.paragraph(
      `${bar}; saw off ${show(plan.need.length.value, 1)} (${sawFraction(plan.need.length.value)} in)${plan.off.perBlank > 1 ? ` for ${plan.off.perBlank} of them` : ''}. ${plan.lathe.name}, ${plan.plan.tool === 'hss' ? 'high-speed steel' : 'carbide'}.`,
    );
    const { unit: dialUnit, reads } = plan.lathe.cross;
    const minds = [
      ...(plan.passes.length ? [`Passes: each diameter at the cross slide from the skin, ${dialUnit} on ${reads}; feeds a turn.`] : []),
      ...new Set(plan.setUps.flatMap((s) => s.coolant)),
    ];
    if (minds.length) paper.paragraph(minds.join(' '), 8.5);
    for (const { setUp, ladder, dial, schedules } of plan.setUps) {
      paper.section(`Set-up ${setUp.number}: ${setUp.title}`);
      paper.paragraph(`Hold: ${setUp.hold}. Zero: ${setUp.zeroFace}. ${setUp.operations.join('; ')}.`);
      if (dial && ladder.length)
        paper.table(
          ['Depth from zero', 'on the part', 'tool at', `dial (${dial.unit})`],
          ladder.map((r) => [
            r.note ? `${r.what} (${r.note})` : r.what,
            show(r.depthMm),
            show(r.toolMm),
            r.dial ? turnsWords(r.dial, dial) : '',
          ]),
          [4, 2, 2, 3],
        );
      ofPasses(
        paper,
        plan.passes.filter((x) => setUp.cuts.includes(x.segment.segment.id)),
        plan.lathe,
        unit,
      );
      ofSchedules(paper, schedules, plan.lathe, unit);
    }
  }
}
