-- What somebody may do, beside what they are called. People of before go by what they were called; whoever comes in later is told.
alter table people add column access text not null default 'machinist'
  check (access in ('owner', 'machinist', 'apprentice', 'desk', 'reader'));
update people set access = case when role ~* 'owner' then 'owner' when role ~* 'apprentice|trainee' then 'apprentice' else 'machinist' end;
alter table people alter column access drop default;

-- What somebody proves themselves by: digests of argon2id, which open nothing. A device that they signed in on at an earlier epoch is out.
create table accounts (
  person_id text primary key references people,
  password_hash text not null,
  -- Given by another, and changed at the first sign-in.
  borrowed boolean not null,
  pin_hash text,
  epoch int not null default 1,
  changed_at timestamptz not null default clock_timestamp()
);

-- A browser in which somebody signed in, by the digest of the secret in its cookie.
create table devices (
  id uuid primary key default gen_random_uuid(),
  token_hash bytea not null unique,
  -- Who is at the bench there; nobody while it is locked.
  at_bench text references people,
  -- When somebody last did something there.
  seen_at timestamptz not null default clock_timestamp(),
  made_at timestamptz not null default clock_timestamp()
);

-- Who signed in by a password there, so that a PIN will do for a while.
create table device_people (
  device_id uuid not null references devices on delete cascade,
  person_id text not null references accounts,
  epoch int not null,
  proved_at timestamptz not null default clock_timestamp(),
  -- Wrong PINs since the last right one.
  misses int not null default 0,
  primary key (device_id, person_id)
);
create index device_people_person on device_people (person_id);

-- Wrong passwords, for a name and from an address, and how long to wait for the next.
create table sign_in_misses (
  who text primary key,
  misses int not null,
  until timestamptz not null,
  at timestamptz not null
);

-- Who did what. Only added to.
create table audit (
  seq bigint generated always as identity primary key,
  at timestamptz not null default clock_timestamp(),
  -- Nobody where nobody was known.
  person_id text references people,
  device_id uuid,
  method text not null,
  path text not null,
  status int not null,
  -- What was sent, where no record of its own keeps it.
  sent jsonb
);
create index audit_person on audit (person_id, seq desc);
create trigger audit_is_kept before update or delete on audit for each row execute function refuse_change();
create trigger audit_stays before truncate on audit for each statement execute function refuse_change();
