import type { StationStanding } from '@iron-patch/core';

/** A job as the floor shows it. */
export interface FloorJob {
  readonly id: string;
  readonly number: number;
  readonly title: string;
  readonly machine: string;
  readonly customerName: string;
  readonly promisedOn: string | null;
  readonly stations: readonly StationStanding[];
  readonly next: StationStanding | null;
  readonly hazards: readonly string[];
  /** It cannot be worked out: neither its stations nor its next move are known. Absent where it can. */
  readonly trouble?: true;
}
