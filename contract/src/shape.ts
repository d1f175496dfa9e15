import { object, type AnyObjectSchema, type AnySchema } from 'yup';

/** A schema for each field of a stored type: one that is missing, or one too many, does not compile. */
export type FieldSchemas<T> = { readonly [K in keyof Required<T>]: AnySchema };

/** The schema of a stored type. */
export const shapeOf = <T>(fields: FieldSchemas<T>): AnyObjectSchema => object(fields);
