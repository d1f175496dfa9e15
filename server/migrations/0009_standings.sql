-- Where each job stands, worked out once after a change and kept. `changed` counts what was stored of the job, in the transaction that
-- stores it. A standing is of one count of its job, of one count of the shop's, and of one program: where one of them is another by now,
-- it is worked out again before anybody sees it.
create table standings (
  job_id uuid primary key references jobs on delete cascade,
  changed bigint not null default 1,
  of_change bigint not null default 0,
  of_shop bigint not null default 0,
  worked_by text not null default '',
  -- 0 something is wrong, 1 open, 2 handed back.
  urgency smallint not null default 1
) with (fillfactor = 50);
insert into standings (job_id) select id from jobs;

-- Stations, next move, trouble; none until it was worked out once. Apart, so that counting and sorting need not read it.
create table standing_cards (
  job_id uuid primary key references standings on delete cascade,
  standing jsonb not null
);

-- What all jobs hang on: instruments, lathes, house rules, bars, drills.
create table shop_changes (
  one boolean primary key default true check (one),
  changed bigint not null default 1
);
insert into shop_changes default values;

create function job_taken_in() returns trigger language plpgsql as $$
begin
  insert into standings (job_id) select id from fresh;
  return null;
end $$;
create trigger stands after insert on jobs referencing new table as fresh for each statement execute function job_taken_in();

create function job_changed() returns trigger language plpgsql as $$
begin
  update standings set changed = changed + 1 where job_id in (select id from fresh);
  return null;
end $$;
create trigger stands_anew after update on jobs referencing new table as fresh for each statement execute function job_changed();

create function of_job_changed() returns trigger language plpgsql as $$
begin
  update standings set changed = changed + 1 where job_id in (select job_id from fresh);
  return null;
end $$;

create function shop_changed() returns trigger language plpgsql as $$
begin
  update shop_changes set changed = changed + 1;
  return null;
end $$;

do $$
declare
  name text;
begin
  foreach name in array array['components', 'features', 'readings', 'choices', 'releases', 'proofs', 'notes', 'photos'] loop
    execute format('create trigger stands_added after insert on %I referencing new table as fresh for each statement execute function of_job_changed()', name);
  end loop;
  foreach name in array array['components', 'features', 'photos'] loop
    execute format('create trigger stands_changed after update on %I referencing new table as fresh for each statement execute function of_job_changed()', name);
    execute format('create trigger stands_removed after delete on %I referencing old table as fresh for each statement execute function of_job_changed()', name);
  end loop;
  foreach name in array array['people', 'instruments', 'instrument_checks', 'lathes', 'house_rule_changes', 'bars', 'drill_sets'] loop
    execute format('create trigger hangs_on_it after insert or update or delete on %I for each statement execute function shop_changed()', name);
  end loop;
end $$;
