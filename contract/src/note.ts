import { STATIONS } from '@iron-patch/core';
import { object, type InferType } from 'yup';
import { oneOf } from './fields';
import { requiredText, TEXT_LIMITS } from './text';

export const noteInput = object({ station: oneOf('a station', STATIONS), text: requiredText('Note', TEXT_LIMITS.text) });
export type NoteInput = InferType<typeof noteInput>;
