-- A job does several things: what is cut, proved and released belongs to an item, a reading and a proof to one piece of it as well.
-- Null is the item that goes by the job's own id: the new part of every job of before.
alter table readings add column item_id uuid;
alter table readings add column piece integer not null default 1 check (piece between 1 and 10000);
alter table proofs add column item_id uuid;
alter table proofs add column piece integer not null default 1 check (piece between 1 and 10000);
alter table releases add column item_id uuid;
