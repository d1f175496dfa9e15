-- The shop.
create table people (
  id text primary key,
  name text not null,
  role text not null
);

create table instruments (
  id text primary key,
  name text not null unique,
  kind text not null,
  unit text not null check (unit in ('mm', 'in')),
  u_mm double precision,
  range_low_mm double precision not null,
  range_high_mm double precision not null
);

-- A lathe's dials and gears are one card that is read whole: jsonb, in the shape of core's Lathe.
create table lathes (
  id text primary key,
  position int not null,
  card jsonb not null
);

create table house_rules (
  id text primary key,
  position int not null,
  card jsonb not null
);

create table bars (
  id text primary key,
  material_id text not null,
  diameter_mm double precision not null check (diameter_mm > 0),
  length_mm double precision not null check (length_mm >= 0),
  place text not null
);

create table customers (
  id uuid primary key default gen_random_uuid(),
  name text not null,
  contact text not null default ''
);
create unique index customers_name on customers (lower(name));

-- A job and what stands on its counter ticket.
create sequence job_number start 1001;
create table jobs (
  id uuid primary key default gen_random_uuid(),
  number int not null unique default nextval('job_number'),
  customer_id uuid not null references customers,
  title text not null,
  machine text not null,
  complaint text not null,
  want text not null,
  ask_before text not null,
  pieces int not null check (pieces >= 0),
  promised_on date,
  unit text not null check (unit in ('mm', 'in')),
  shop_temp_c double precision not null,
  hazards text[] not null default '{}',
  received_at timestamptz not null default now(),
  version int not null default 1
);

create table components (
  id uuid primary key default gen_random_uuid(),
  job_id uuid not null references jobs,
  name text not null,
  role text not null check (role in ('worn', 'mate', 'other')),
  material_id text not null,
  axis_offset_mm double precision not null,
  verdict text,
  as_found text not null,
  created_at timestamptz not null default clock_timestamp(),
  version int not null default 1
);
create index components_job on components (job_id);

create table features (
  id uuid primary key default gen_random_uuid(),
  job_id uuid not null references jobs,
  component_id uuid not null references components,
  name text not null,
  side text not null check (side in ('outside', 'inside')),
  start_mm double precision not null,
  length_mm double precision not null check (length_mm > 0),
  land text not null check (land in ('worn', 'unworn')),
  mates_feature_id uuid references features,
  stations_mm double precision[] not null,
  clocks_deg double precision[] not null,
  instrument_id text not null references instruments,
  created_at timestamptz not null default clock_timestamp(),
  version int not null default 1
);
create index features_job on features (job_id);

-- What was measured and decided: only ever added to.
create table readings (
  id uuid primary key,
  seq bigint generated always as identity,
  job_id uuid not null references jobs,
  purpose text not null check (purpose in ('found', 'cut', 'proof')),
  feature_id uuid references features,
  segment_id text,
  station_mm double precision not null,
  clock_deg double precision not null,
  text text not null,
  unit text not null check (unit in ('mm', 'in')),
  value_mm double precision not null,
  instrument_id text not null references instruments,
  part_temp_c double precision,
  dial double precision,
  person_id text not null references people,
  taken_at timestamptz not null,
  stored_at timestamptz not null default clock_timestamp(),
  supersedes_id uuid references readings unique,
  withdrawn boolean not null default false,
  check ((purpose = 'found') = (feature_id is not null)),
  check ((purpose = 'found') = (segment_id is null)),
  check (not withdrawn or supersedes_id is not null)
);
create index readings_job on readings (job_id, seq);
create index readings_feature on readings (feature_id, taken_at desc, seq desc);

create table choices (
  job_id uuid not null references jobs,
  key text not null,
  version int not null check (version > 0),
  value jsonb not null,
  reason text not null,
  person_id text not null references people,
  at timestamptz not null default clock_timestamp(),
  primary key (job_id, key, version)
);

create table releases (
  id uuid primary key default gen_random_uuid(),
  seq bigint generated always as identity,
  job_id uuid not null references jobs,
  figures jsonb not null,
  person_id text not null references people,
  at timestamptz not null default clock_timestamp()
);
create index releases_job on releases (job_id, seq);

create table proofs (
  id uuid primary key default gen_random_uuid(),
  seq bigint generated always as identity,
  job_id uuid not null references jobs,
  segment_id text not null,
  passed boolean not null,
  measured_mm double precision not null,
  remark text not null,
  person_id text not null references people,
  at timestamptz not null default clock_timestamp()
);
create index proofs_job on proofs (job_id, seq);

create table notes (
  id uuid primary key default gen_random_uuid(),
  seq bigint generated always as identity,
  job_id uuid not null references jobs,
  station text not null,
  text text not null,
  person_id text not null references people,
  at timestamptz not null default clock_timestamp()
);
create index notes_job on notes (job_id, seq);

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception '% is only added to: a correction supersedes, nothing is changed or deleted', tg_table_name;
end $$;
create trigger readings_are_kept before update or delete on readings for each row execute function refuse_change();
create trigger choices_are_kept before update or delete on choices for each row execute function refuse_change();
create trigger releases_are_kept before update or delete on releases for each row execute function refuse_change();
create trigger proofs_are_kept before update or delete on proofs for each row execute function refuse_change();
create trigger notes_are_kept before update or delete on notes for each row execute function refuse_change();

-- The answer to every recorded POST, so that a retry records once.
create table idempotency_keys (
  key text primary key,
  route text not null,
  request_hash text not null,
  status int,
  body jsonb,
  created_at timestamptz not null default now()
);

-- Tells every server process what was stored. The same news told twice in one transaction goes out once.
create function tell_screens() returns trigger language plpgsql as $$
declare
  changed record := case when tg_op = 'DELETE' then old else new end;
  job text := case when tg_table_name = 'jobs' then to_jsonb(changed) ->> 'id' else to_jsonb(changed) ->> 'job_id' end;
begin
  perform pg_notify('iron_patch', json_build_object(
    'jobId', job,
    'table', tg_table_name,
    'screen', coalesce(current_setting('iron_patch.screen', true), ''))::text);
  return null;
end $$;
create trigger tell after insert or update or delete on jobs for each row execute function tell_screens();
create trigger tell after insert or update or delete on components for each row execute function tell_screens();
create trigger tell after insert or update or delete on features for each row execute function tell_screens();
create trigger tell after insert on readings for each row execute function tell_screens();
create trigger tell after insert on choices for each row execute function tell_screens();
create trigger tell after insert on releases for each row execute function tell_screens();
create trigger tell after insert on proofs for each row execute function tell_screens();
create trigger tell after insert on notes for each row execute function tell_screens();
