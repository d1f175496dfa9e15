-- What the shop asks for its work: every version is kept with who set it, the newest is in force. The card is in the shape of core's Rates.
create table rates (
  version int primary key check (version > 0),
  card jsonb not null,
  person_id text references people,
  at timestamptz not null default clock_timestamp()
);
create trigger tell after insert on rates for each row execute function tell_screens();
create trigger rates_are_kept before update or delete on rates for each row execute function refuse_change();
create trigger rates_stay before truncate on rates for each statement execute function refuse_change();
-- The estimates learn from the newest jobs that were handed back.
create index choices_returned on choices (at desc) where key = 'returned';
