import { formatLength, significant, USUAL_DECIMALS, type LengthUnit } from '../quantity';
import type { Figure } from './figure';

/** One line of the working: a figure told in words, with how deep in the chain it stands. */
export interface WorkingLine {
  readonly level: number;
  readonly figure: Figure;
  readonly text: string;
}

/** From here on minutes are told in hours. */
const HOURS_FROM_MIN = 120;

/** How deep a chain is told before it only names what it rests on. */
export const DEEPEST_LEVEL = 5;

/** NIST SP 811: newton in a pound force, megapascal in a thousand pounds a square inch, newton metre in a pound foot. */
export const N_PER_LBF = 4.4482216152605;
export const MPA_PER_KSI = 6.894757293168;
export const NM_PER_LBF_FT = 1.3558179483314;

/** A force in the reader's system: `4.12 kN`, `926 lbf`. */
export const showForce = (newton: number, unit: LengthUnit, digits = 3): string =>
  unit === 'in'
    ? `${significant(newton / N_PER_LBF, digits)} lbf`
    : Math.abs(newton) >= 1000
      ? `${significant(newton / 1000, digits)} kN`
      : `${significant(newton, digits)} N`;

/** A stress or pressure in the reader's system: `137 MPa`, `19.9 ksi`, `145 psi`. */
function showStress(mpa: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${significant(mpa, 3)} MPa`;
  const ksi = mpa / MPA_PER_KSI;
  return Math.abs(ksi) < 1 ? `${significant(ksi * 1000, 3)} psi` : `${significant(ksi, 3)} ksi`;
}

/** The figure's value as text in the reader's unit, with its unit. */
export function showValue(figure: Figure, unit: LengthUnit, decimals = USUAL_DECIMALS[unit]): string {
  switch (figure.measure) {
    case 'length':
      return `${formatLength(figure.value, unit, decimals)} ${unit}`;
    case 'temperature':
      return `${figure.value.toFixed(1)} °C`;
    case 'rpm':
      return `${Math.round(figure.value)} rpm`;
    case 'speed':
      return `${Math.round(figure.value)} m/min`;
    case 'mass':
      return `${figure.value.toFixed(3)} kg`;
    case 'probability':
      return `${Math.round(figure.value * 100)} %`;
    case 'count':
      return String(Number(figure.value.toFixed(3)));
    case 'angle':
      return `${((figure.value * 180) / Math.PI).toFixed(3)}°`;
    case 'stress':
      return showStress(figure.value, unit);
    case 'force':
      return showForce(figure.value, unit);
    case 'torque':
      return unit === 'in' ? `${significant(figure.value / NM_PER_LBF_FT, 3)} lbf·ft` : `${significant(figure.value, 3)} Nm`;
    case 'time':
      return figure.value < HOURS_FROM_MIN ? `${figure.value.toFixed(1)} min` : `${(figure.value / 60).toFixed(1)} h`;
    case 'price':
      return figure.value.toFixed(2);
    case 'ratio':
      return significant(figure.value, 3);
  }
}

const number = (figure: Figure, unit: LengthUnit, decimals?: number): string =>
  figure.measure === 'length' ? formatLength(figure.value, unit, decimals) : showValue(figure, unit, decimals);

/**
 * One figure as a sentence: "0.7460 in = smallest bore 0.7491 - running clearance 0.0031 (house rule grease)".
 *
 * @param unit the reader's unit
 */
export function sentence(figure: Figure, unit: LengthUnit, decimals?: number): string {
  const head = `${showValue(figure, unit, decimals)} = `;
  const tail = [...(figure.note ? [figure.note] : []), ...(figure.flags ?? [])].map((t) => `, ${t}`).join('');
  const { origin } = figure;
  switch (origin.kind) {
    case 'sum':
      return (
        head +
        origin.terms
          .map(({ sign, figure: term }, i) => {
            const operator = sign < 0 ? '- ' : i === 0 ? '' : '+ ';
            const rule = term.origin.kind === 'rule' ? ` (${term.origin.rule})` : '';
            return `${operator}${term.label} ${number(term, unit, decimals)}${rule}`;
          })
          .join(' ') +
        tail
      );
    case 'worked':
      return `${head}${figure.label}: ${origin.how}${tail}`;
    case 'reading':
      return `${head}read as "${origin.text}" with ${origin.instrument} by ${origin.by}, ${origin.at}${tail}`;
    case 'rule':
      return `${head}${figure.label}, ${origin.rule}${tail}`;
    case 'table':
      return `${head}${figure.label}, ${origin.source}${tail}`;
    case 'typed':
      return `${head}${figure.label}, typed by ${origin.by}${origin.reason ? `: ${origin.reason}` : ''}${tail}`;
  }
}

const parents = ({ origin }: Figure): readonly Figure[] =>
  origin.kind === 'sum' ? origin.terms.map((t) => t.figure) : origin.kind === 'worked' ? origin.from : [];

/** The whole chain behind a figure, itself first, each parent after its child and one level deeper. */
export function explain(figure: Figure, unit: LengthUnit, decimals?: number): WorkingLine[] {
  const lines: WorkingLine[] = [];
  const walk = (f: Figure, level: number): void => {
    lines.push({ level, figure: f, text: sentence(f, unit, decimals) });
    if (level < DEEPEST_LEVEL) parents(f).forEach((p) => walk(p, level + 1));
  };
  walk(figure, 0);
  return lines;
}
