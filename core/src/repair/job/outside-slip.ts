import { aSide, hardenedBy, isCutBackHere, processOf, type Part, type Treatment } from '../../making/part';
import { materialOf } from '../../book/materials';
import { spanWords } from '../../terms/quantity';
import { beforeKey } from './before-treatment';
import { goodPieces, pieceName, type ItemFinding, type PieceFinding } from './item-finding';
import type { PartFinding } from './part-finding';

type Show = (mm: number) => string;

/** One surface as another shop is asked to treat it. */
export interface AskedOutside {
  readonly surface: string;
  readonly process: string;
  /** As it was passed here, else what it will be; empty where nothing is changed of it. */
  readonly now: string;
  readonly layer: string;
  readonly after: string;
  readonly masked: string;
}

/** What goes out of the house of one piece. */
export interface OutsideSlip {
  readonly title: string;
  readonly material: string;
  readonly rows: readonly AskedOutside[];
  /** What whoever does it has to know or to mind, each once. */
  readonly minds: readonly string[];
}

/** What is built up or ground by this shop goes nowhere; what it grinds was hardened elsewhere. */
const goesOut = (f: Treatment): boolean => !isCutBackHere(f) || f.process === 'harden-ground';

function treated(f: Treatment, { dimensions }: PartFinding, { proofs }: PieceFinding, show: Show): AskedOutside {
  const { words } = processOf(f);
  const limitsOf = (key: string): string => {
    const limits = dimensions.find((d) => d.dimension.key === key)?.limits;
    return limits ? spanWords(show(limits.lowerMm), show(limits.upperMm)) : 'no limits yet';
  };
  const before = proofs.find((p) => p.dimension.dimension.key === beforeKey(f));
  const now = before?.measured ? show(before.measured.value) : `${limitsOf(beforeKey(f))}, not read yet`;
  return {
    surface: dimensions.find((d) => d.dimension.key === f.on)?.dimension.surface.name ?? '',
    process: [isCutBackHere(f) ? 'hardened, comes back to be ground' : words, f.by].filter(Boolean).join(', '),
    now,
    layer: `${spanWords(show(aSide(f).fromMm), show(aSide(f).toMm))} a side`,
    after: isCutBackHere(f) ? '' : limitsOf(f.on),
    masked: f.masked,
  };
}

/** Hardness that fire or nitrogen has to give; one that the stock comes with is nobody's work. */
const hardened = ({ features, outside, bores }: Part): AskedOutside[] =>
  features.flatMap((f) => {
    if (f.kind !== 'hardness' || f.how === 'as it comes') return [];
    const surface = [...outside, ...bores.flatMap((b) => b.surfaces)].find((s) => s.id === f.on)?.name ?? '';
    return [{ surface, process: `${hardenedBy(f)}, ${f.from} to ${f.to} ${f.scale}`, now: '', layer: '', after: '', masked: f.remark }];
  });

/** Every good piece of which another shop treats something, with what it is now and has to be after. */
export function outsideSlips(items: readonly ItemFinding[], show: Show): OutsideSlip[] {
  const goes = items.filter(({ part }) => part?.part.features.some((f) => f.kind === 'treatment' || f.kind === 'hardness'));
  return goes.flatMap((item) =>
    goodPieces(item).flatMap((piece): OutsideSlip[] => {
      const { part } = item.part!;
      const treatments = part.features.filter((f): f is Treatment => f.kind === 'treatment' && goesOut(f));
      const rows = [...treatments.map((f) => treated(f, item.part!, piece, show)), ...hardened(part)];
      if (!rows.length) return [];
      return [
        {
          title: pieceName(item, piece.piece, goes) || item.item.name,
          material: materialOf(part.materialId)?.name ?? '',
          rows,
          minds: [...new Set(treatments.map((f) => processOf(f).minds))],
        },
      ];
    }),
  );
}
