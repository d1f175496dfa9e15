import { INSTRUMENT_KINDS, materialName, type LengthUnit, type Shop } from '@iron-patch/core';
import { barText } from '../rack/bar-words';

/** Something of the shop itself, and the page that it is on. */
export interface ShopHit {
  readonly what: string;
  readonly words: string;
  readonly page: string;
}

/** What the shop has, each thing in its words. */
function things(shop: Shop, unit: LengthUnit): ShopHit[] {
  return [
    ...shop.instruments.map((i) => ({
      what: 'Instrument',
      words: i.name.startsWith(INSTRUMENT_KINDS[i.kind].name) ? i.name : `${i.name}, ${INSTRUMENT_KINDS[i.kind].name}`,
      page: '/crib',
    })),
    ...shop.rack.map((b) => ({ what: 'Bar', words: `${materialName(b.materialId)}, ${barText(b, unit)}`, page: '/rack' })),
    ...shop.machines.map((m) => ({ what: 'Machine', words: `${m.name}, ${m.kind}`, page: '/shop' })),
    ...shop.people.map((p) => ({ what: 'Person', words: `${p.name}, ${p.role}`, page: '/shop' })),
    ...shop.houseRules.map((r) => ({ what: 'House rule', words: r.name, page: '/house-rules' })),
  ];
}

/** Those things of the shop in which every word begins one. */
export function inTheShop(shop: Shop, text: string, unit: LengthUnit): readonly ShopHit[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  if (!words.length) return [];
  return things(shop, unit).filter((t) => {
    const text = ` ${t.what} ${t.words}`.toLowerCase().replace(/[,(]/g, ' ');
    return words.every((w) => text.includes(` ${w}`));
  });
}
