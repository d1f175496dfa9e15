-- Cards of the shop that are read whole and of which every version is kept with who set it; the newest of its key is in force: `hours`, when
-- the shop works, in the shape of core's WorkHours; `run-order`, the order of all acts, in the shape of core's RunOrder.
create table kept_cards (
  key text not null,
  version int not null check (version > 0),
  card jsonb not null,
  person_id text references people,
  at timestamptz not null default clock_timestamp(),
  primary key (key, version)
);
create trigger tell after insert on kept_cards for each row execute function tell_screens();
create trigger kept_cards_are_kept before update or delete on kept_cards for each row execute function refuse_change();
create trigger kept_cards_stay before truncate on kept_cards for each statement execute function refuse_change();
