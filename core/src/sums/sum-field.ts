/** What a bench calculation asks for. Lengths start in mm; the range is told when it is left. */
export type SumField =
  | {
      readonly kind: 'length';
      readonly id: string;
      readonly label: string;
      readonly startMm: number;
      readonly fromMm: number;
      readonly toMm: number;
    }
  | {
      readonly kind: 'number';
      readonly id: string;
      readonly label: string;
      readonly unit: string;
      readonly start: number;
      readonly from: number;
      readonly to: number;
      readonly whole?: true;
    }
  | {
      readonly kind: 'choice';
      readonly id: string;
      readonly label: string;
      readonly start: string;
      readonly options: readonly (readonly [value: string, words: string])[];
    }
  | { readonly kind: 'thread'; readonly id: string; readonly label: string; readonly start: string }
  | {
      readonly kind: 'lengths';
      readonly id: string;
      readonly label: string;
      readonly startMm: readonly number[];
      /** What an inch bench starts with: as such things are sold there, inch. */
      readonly startIn?: readonly number[];
    };
