-- What is to be different when it comes back, and who does the rest of the work.
alter table jobs add column changes text[] not null default '{}', add column rest_by text not null default '';

-- Components as a tree: what came out of what.
alter table components add column parent_id uuid references components;

-- Places of other kinds than diameters, and what is suspected of them. The detail of a kind is one card, in the shape of core's FeatureDetail.
alter table features
  add column kind text not null default 'diameter',
  add column suspicions text[] not null default '{}',
  add column detail jsonb not null default '{}';

-- What was read there: a diameter, a width, the rise of an indicator.
alter table readings add column quantity text not null default 'size';

-- An instrument's own record.
alter table instruments
  add column repeat_mm double precision check (repeat_mm >= 0),
  add column resolution_mm double precision check (resolution_mm > 0),
  add column bias_mm double precision not null default 0,
  add column calibrated_on date,
  add column due_on date,
  add column version int not null default 1;

-- Checks against a ring, a gauge block or another reference: only ever added to.
create table instrument_checks (
  id uuid primary key default gen_random_uuid(),
  seq bigint generated always as identity,
  instrument_id text not null references instruments,
  reference text not null,
  reference_mm double precision not null,
  text text not null,
  unit text not null check (unit in ('mm', 'in')),
  read_mm double precision not null,
  remark text not null,
  person_id text not null references people,
  at timestamptz not null default clock_timestamp()
);
create trigger instrument_checks_are_kept before update or delete on instrument_checks for each row execute function refuse_change();
create trigger tell after insert on instrument_checks for each row execute function tell_screens();
create trigger tell after insert or update on instruments for each row execute function tell_screens();

-- Photographs: scaled pictures without what the camera wrote into them; caption and markers can be changed, the picture can not.
create table photos (
  id uuid primary key,
  job_id uuid not null references jobs,
  caption text not null,
  width_px int not null check (width_px > 0),
  height_px int not null check (height_px > 0),
  markers jsonb not null default '[]',
  person_id text not null references people,
  at timestamptz not null default clock_timestamp(),
  version int not null default 1
);
create index photos_job on photos (job_id, at);
create table photo_pixels (
  photo_id uuid not null references photos on delete cascade,
  size text not null check (size in ('large', 'small')),
  jpeg bytea not null,
  primary key (photo_id, size)
);
create trigger tell after insert or update or delete on photos for each row execute function tell_screens();
