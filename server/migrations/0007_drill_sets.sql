-- Drills that hang in the crib: a kind, from one size to another, every one as sold or by a step.
create table drill_sets (
  id text primary key,
  kind text not null,
  from_mm double precision not null check (from_mm > 0),
  to_mm double precision not null check (to_mm >= from_mm),
  step_mm double precision check (step_mm > 0),
  removed boolean not null default false,
  version int not null default 1
);
create trigger tell after insert or update on drill_sets for each row execute function tell_screens();
