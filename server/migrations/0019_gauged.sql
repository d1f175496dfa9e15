-- What no instrument of the crib reads is tried with a gauge, the nut, a specimen: with what is kept, and a number only where it shows one.
alter table proofs alter column measured_mm drop not null;
alter table proofs add column gauged_with text not null default '' check (measured_mm is not null or gauged_with <> '');
