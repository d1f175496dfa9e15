import type { FieldSpec } from './feature-kind';

/** What will not do about the value of a field by what is asked of it; null where it will. */
export function fieldProblem(spec: FieldSpec, value: unknown): string | null {
  switch (spec.kind) {
    case 'length':
    case 'angle':
    case 'number':
    case 'count': {
      const unit = spec.kind === 'length' ? ' mm' : spec.kind === 'angle' ? '°' : spec.kind === 'number' ? ` ${spec.unit}` : '';
      const whole = spec.kind !== 'count' || Number.isInteger(value);
      const ok = typeof value === 'number' && value >= spec.from && value <= spec.to && whole;
      return ok ? null : `${spec.label}: ${spec.kind === 'count' ? 'a whole number ' : ''}from ${spec.from} to ${spec.to}${unit}.`;
    }
    case 'choice':
      return spec.options.some(([v]) => v === value) ? null : `${spec.label}: choose one.`;
    case 'text':
      if (typeof value !== 'string' || value.length > spec.most) return `${spec.label}: at most ${spec.most} letters.`;
      return value.trim() || spec.optional ? null : `${spec.label}: it is needed.`;
    case 'timed':
    case 'feature':
    case 'surface':
      return typeof value === 'string' ? null : `${spec.label}: choose one.`;
  }
}
