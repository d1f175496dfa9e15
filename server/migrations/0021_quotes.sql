-- Quotes: the card is exactly what a customer is shown, in the shape of core's QuoteCard, and never changes. What becomes of one is added
-- beside it, each once. Of a link only the digest of its secret is kept; the newest link of a quote leads to it, those before nowhere.
create table quotes (
  id uuid primary key,
  job_id uuid not null references jobs,
  number int not null check (number > 0),
  card jsonb not null,
  person_id text not null references people,
  at timestamptz not null default clock_timestamp(),
  unique (job_id, number)
);
create table quote_links (
  digest bytea primary key check (octet_length(digest) = 32),
  quote_id uuid not null references quotes,
  seq bigint generated always as identity,
  person_id text not null references people,
  at timestamptz not null default clock_timestamp()
);
create index quote_links_of on quote_links (quote_id, seq);
create table quote_withdrawals (
  quote_id uuid primary key references quotes,
  why text not null,
  person_id text not null references people,
  at timestamptz not null default clock_timestamp()
);
create table quote_answers (
  quote_id uuid primary key references quotes,
  way_id uuid,
  name text not null,
  note text not null,
  at timestamptz not null default clock_timestamp()
);
create table quote_questions (
  seq bigint generated always as identity primary key,
  quote_id uuid not null references quotes,
  name text not null,
  text text not null,
  at timestamptz not null default clock_timestamp()
);
create index quote_questions_of on quote_questions (quote_id, seq);

-- Screens hear of the quote, whatever was added to it.
create or replace function tell_quote() returns trigger language plpgsql as $$
declare
  changed jsonb := to_jsonb(new);
  quote uuid := coalesce(changed ->> 'quote_id', changed ->> 'id')::uuid;
begin
  perform pg_notify('iron_patch', json_build_object(
    'jobId', (select job_id from quotes where id = quote),
    'table', 'quotes',
    'row', quote,
    'screen', coalesce(current_setting('iron_patch.screen', true), ''))::text);
  return null;
end $$;

do $$
declare
  name text;
begin
  foreach name in array array['quotes', 'quote_withdrawals', 'quote_answers', 'quote_questions'] loop
    execute format('create trigger tell after insert on %I for each row execute function tell_quote()', name);
  end loop;
  foreach name in array array['quotes', 'quote_links', 'quote_withdrawals', 'quote_answers', 'quote_questions'] loop
    execute format('create trigger kept before update or delete on %I for each row execute function refuse_change()', name);
    execute format('create trigger stays before truncate on %I for each statement execute function refuse_change()', name);
  end loop;
end $$;

-- Where a job stands hangs on them as well.
create function of_quote_changed() returns trigger language plpgsql as $$
begin
  update standings set changed = changed + 1 where job_id in (select job_id from quotes where id in (select quote_id from fresh));
  return null;
end $$;
create trigger stands_added after insert on quotes referencing new table as fresh for each statement execute function of_job_changed();
create trigger stands_added after insert on quote_withdrawals
  referencing new table as fresh for each statement execute function of_quote_changed();
create trigger stands_added after insert on quote_answers
  referencing new table as fresh for each statement execute function of_quote_changed();
