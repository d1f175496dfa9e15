import { isAtTheEdge } from '../feature-kind';
import { inSentence } from '../../../terms/words';
import type { Dimension } from '../dimension';
import type { PlacedSurface } from '../surface';
import { type Block } from './block';
import { faceOf, FACE_NAMES, sizeAlong } from './box';
import { cutKindOf, type BlockCut } from './cuts';

/** What a dimension of a block lies on, told as a surface is: its name, how long it is, what it has to fit. */
function placeOf(
  id: string,
  name: string,
  side: PlacedSurface['side'],
  mm: number,
  deepMm: number,
  fits: readonly string[],
): PlacedSurface {
  return {
    ...{ id, kind: 'cylinder', name, lengthMm: deepMm, diameterMm: mm, farDiameterMm: null, fitsPlaceIds: fits },
    ...{ side, fromMm: 0, toMm: deepMm, leftMm: mm, rightMm: mm },
  };
}

/** The hole of a cut as a bore is told; of anything else the face that it is on. */
export function cutSurface(block: Block, c: BlockCut): PlacedSurface {
  if (c.kind === 'hole') {
    const deep = c.reach === 'through' ? faceOf(block, c.on).thickMm : c.depthMm;
    return placeOf(c.id, c.name, 'inside', c.diameterMm, deep, c.fitsPlaceIds);
  }
  return placeOf(c.on, FACE_NAMES[c.on], 'outside', 0, faceOf(block, c.on).uMm, []);
}

const SIZES = [
  ['length', 'x'],
  ['width', 'y'],
  ['height', 'z'],
] as const;

/** Every dimension of a block, each once: its three sizes, then what is cut into it. */
export function blockDimensions(block: Block): Dimension[] {
  const whole = placeOf('block', 'Block', 'outside', 0, block.lengthMm, []);
  const plain = { book: null, own: null, seat: false, unit: '' };
  const sizes = SIZES.map(([name, axis]): Dimension => ({
    ...plain,
    ...{ key: `block.${name}`, ownerId: 'block', name, what: 'length', label: `${name} of the block`, value: sizeAlong(block, axis) },
    surface: whole,
  }));
  const cut = block.cuts.flatMap((c) => {
    const surface = cutSurface(block, c);
    return cutKindOf(c.kind)
      .dimensions(c, block)
      .filter((d) => !isAtTheEdge(d))
      .map((d): Dimension => ({
        key: d.round ? c.id : `${c.id}.${d.name}`,
        ownerId: c.id,
        ...{ name: d.name, what: d.what, value: d.value, label: `${inSentence(c.name)}, ${d.label}` },
        ...{ unit: d.unit ?? (d.what === 'angle' ? '°' : ''), book: d.book ?? null, own: d.own ?? null, seat: d.seat ?? false },
        surface,
      }));
  });
  return [...sizes, ...cut];
}
