-- What a handed-back job is found by: all its words and sizes, as they follow from its sheet. They come with its standing, in the
-- transaction that keeps it; the server only reads them here. Apart from handed_back, which other transactions write: neither waits for
-- the other.
create table ledger_cards (
  job_id uuid primary key references jobs on delete cascade,
  words tsvector not null
);
create index ledger_cards_words on ledger_cards using gin (words);
create table ledger_sizes (
  job_id uuid not null references jobs on delete cascade,
  name text not null,
  mm double precision not null,
  kind text not null check (kind in ('found', 'made')),
  said text not null,
  words text generated always as (lower(name || ' ' || said)) stored
);
create index ledger_sizes_mm on ledger_sizes (mm);
create index ledger_sizes_job on ledger_sizes (job_id);

create function keep_ledger_card() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
begin
  if tg_op = 'UPDATE' then
    if new.standing -> 'ledger' is not distinct from old.standing -> 'ledger' then
      return null;
    end if;
    delete from ledger_sizes where job_id = new.job_id;
    delete from ledger_cards where job_id = new.job_id;
  end if;
  if new.standing ? 'ledger' then
    insert into ledger_cards (job_id, words) values (new.job_id, to_tsvector('simple', new.standing -> 'ledger' ->> 'words'));
    insert into ledger_sizes (job_id, name, mm, kind, said)
    select new.job_id, s.name, s.mm, s.kind, s.words
    from jsonb_to_recordset(new.standing -> 'ledger' -> 'sizes') as s (name text, mm double precision, kind text, words text);
  end if;
  return null;
end $$;
create trigger keeps_ledger_card after insert or update on standing_cards for each row execute function keep_ledger_card();

-- A customer who is called otherwise is found by the new name.
create function customer_of_ledger_card() returns trigger language plpgsql as $$
begin
  update standings set changed = changed + 1
  where job_id in (select j.id from fresh f join jobs j on j.customer_id = f.id join ledger_cards k on k.job_id = j.id);
  return null;
end $$;
create trigger words_of_ledger_cards after update on customers referencing new table as fresh for each statement execute function customer_of_ledger_card();

-- Those that were handed back before are worked out once more, for what they are found by.
update standings set changed = changed + 1 where job_id in (select job_id from handed_back);

-- Lists of jobs of before the program: each file that was brought in, and its rows.
create table old_lists (
  id uuid primary key,
  name text not null,
  -- Digest of its rows: the same list does not come in twice.
  digest text not null,
  person_id text not null references people,
  at timestamptz not null default now()
);
-- Taken back as a whole: its rows stay, and are looked for no more.
create table old_list_withdrawals (
  list_id uuid primary key references old_lists,
  person_id text not null references people,
  at timestamptz not null default now()
);
create table old_jobs (
  id uuid primary key default gen_random_uuid(),
  list_id uuid not null references old_lists,
  -- Row of the file, from 1 below its header.
  line integer not null,
  number text not null,
  done_on date,
  customer text not null,
  machine text not null,
  title text not null,
  cause text not null,
  route text not null,
  lesson text not null,
  words text generated always as (lower(number || ' ' || customer || ' ' || machine || ' ' || title || ' ' || cause || ' ' || route || ' ' || lesson)) stored
);
create index old_jobs_words on old_jobs using gin (words gin_trgm_ops);
create index old_jobs_list on old_jobs (list_id);
