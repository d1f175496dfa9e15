-- The shop as it is: what it is called, who works there, all its machines, and a rack that is counted.
create table shop_cards (
  one boolean primary key default true check (one),
  name text not null default '',
  unit text not null default 'mm' check (unit in ('mm', 'in')),
  walked text[] not null default '{}',
  version int not null default 1
);
insert into shop_cards default values;

alter table people add column gone boolean not null default false, add column version int not null default 1;

-- What a machine can do is one card that is read whole: jsonb, in the shape of core's Machine without name and kind.
create table machines (
  id text primary key,
  position int generated always as identity,
  name text not null,
  kind text not null,
  card jsonb not null,
  removed boolean not null default false,
  version int not null default 1
);
insert into machines (id, name, kind, card)
select id, card ->> 'name', 'lathe',
       jsonb_build_object('powerKw', null, 'note', '', 'lathe', card - 'id' - 'name', 'mill', null, 'capacityMm', null, 'tonnes', null)
from lathes order by position;
drop table lathes;

alter table bars
  add column shape text not null default 'round' check (shape in ('round', 'tube', 'hexagon', 'square', 'flat')),
  add column inner_mm double precision check (inner_mm > 0 and inner_mm < diameter_mm),
  add column finish text not null default 'not-said',
  add column pieces int not null default 1 check (pieces >= 0),
  add column price_minor int check (price_minor >= 0),
  add column removed boolean not null default false,
  add column version int not null default 1;

-- How a bar was counted up and down: only ever added to.
create table bar_counts (
  seq bigint generated always as identity primary key,
  bar_id text not null references bars,
  pieces int not null,
  length_mm double precision not null,
  why text not null,
  person_id text references people,
  at timestamptz not null default clock_timestamp()
);
create index bar_counts_bar on bar_counts (bar_id, seq);
create trigger bar_counts_are_kept before update or delete on bar_counts for each row execute function refuse_change();
create trigger bar_counts_stay before truncate on bar_counts for each statement execute function refuse_change();

do $$
declare
  name text;
begin
  foreach name in array array['shop_cards', 'people', 'machines', 'bars'] loop
    execute format('create trigger tell after insert or update on %I for each row execute function tell_screens()', name);
  end loop;
  execute 'create trigger hangs_on_it after insert or update or delete on machines for each statement execute function shop_changed()';
  foreach name in array array['shop_cards', 'machines'] loop
    execute format('create trigger stays before truncate on %I for each statement execute function refuse_emptying()', name);
  end loop;
end $$;
