import { array, object, type InferType } from 'yup';
import { idOf, numberOf } from './fields';
import { textOf, TEXT_LIMITS } from './text';

/** Largest file that is taken, bytes. */
export const MOST_PHOTO_BYTES = 15 * 1024 * 1024;
export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
export const PHOTO_SIZES = ['large', 'small'] as const;
export type PhotoSize = (typeof PHOTO_SIZES)[number];

const marker = object({
  id: idOf('Marker'),
  x: numberOf('Across', 0, 1),
  y: numberOf('Down', 0, 1),
  placeId: idOf('Place').nullable(),
  text: textOf('Marker', TEXT_LIMITS.line),
});

/** What people change of a photograph: its caption and its markers. */
export const photoInput = object({
  caption: textOf('Caption', TEXT_LIMITS.line),
  markers: array(marker).strict().required('Markers: a list.').max(60, 'At most 60 markers on a picture.'),
});
export type PhotoInput = InferType<typeof photoInput>;
