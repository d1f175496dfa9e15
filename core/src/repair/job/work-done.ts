import { materialOf } from '../../book/materials';
import { countOf, inSentence } from '../../terms/words';
import type { ItemFinding } from './item-finding';

/** What is done to an item, as a report says it; its sizes stand in a table of their own there. */
function done({ item, part }: ItemFinding): string {
  const several = item.quantity > 1 ? `, ${countOf(item.quantity, 'piece')}` : '';
  const acts = item.steps.map((s) => inSentence(s.what)).join(', ');
  if (item.kind === 'make') {
    const material = part && materialOf(part.part.materialId)?.name;
    return `made new${material ? `, ${material}` : ''}${several}`;
  }
  if (item.kind === 'buy') return `bought new${item.size.trim() ? `, ${item.size.trim()}` : ''}${several}`;
  return `${acts || (item.kind === 'rework' ? 'reworked' : 'joined')}${several}`;
}

/**
 * What a job does, one phrase an item, for whoever writes the report: to be taken over and changed.
 * What nobody spoke of and nobody drew is left out.
 */
export const workDone = (items: readonly ItemFinding[]): string[] =>
  items.filter((f) => !f.item.proposed || f.part).map((f) => `${f.item.name}: ${done(f)}`);
