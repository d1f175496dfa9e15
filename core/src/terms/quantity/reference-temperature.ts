/** Temperature at which sizes are told, °C (ISO 1). */
export const REFERENCE_TEMP_C = 20;
