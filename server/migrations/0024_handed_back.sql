-- What is handed back, a row a job, as it stands now: read by the ledger, which must not go through everything that was ever said of every
-- job. Kept by the database from what is stored, in the same transaction; the server only reads it.
create table handed_back (
  job_id uuid primary key references jobs on delete cascade,
  -- When it went out first: a lesson that is put right later hands nothing over again.
  at timestamptz not null,
  handed jsonb not null,
  cause text not null,
  cause_id text not null,
  -- The way that was chosen, by its name, or what was said at Decide; `chosen` empty where no way was weighed and chosen.
  route text not null,
  chosen text not null,
  -- All that it is looked for by, in small letters.
  words text not null
);
create index handed_back_words on handed_back using gin (words gin_trgm_ops);
create index handed_back_at on handed_back (at desc);

create function hand_back(jobs_in uuid[]) returns void language sql security definer set search_path = public, pg_temp as $$
  with asked as (select id from unnest(jobs_in) id),
  stands as (
    select j.id as job_id, first.at, h.value as handed, coalesce(r.value ->> 'cause', '') as cause, coalesce(r.value ->> 'causeId', '') as cause_id,
           coalesce(w.name, r.value ->> 'route', '') as route, coalesce(w.name, '') as chosen,
           lower(concat_ws(' ', j.number, j.title, j.machine, cu.name, r.value ->> 'cause', w.name, r.value ->> 'route', h.value ->> 'lesson')) as words
    from asked join jobs j on j.id = asked.id join customers cu on cu.id = j.customer_id
      join choices first on first.job_id = j.id and first.key = 'returned' and first.version = 1
      cross join lateral (select value from choices where job_id = j.id and key = 'returned' order by version desc limit 1) h
      left join lateral (select value from choices where job_id = j.id and key = 'route' order by version desc limit 1) r on true
      cross join lateral (
        select min(value ->> 'name') as name
        from (select distinct on (key) value from choices where job_id = j.id and key like 'considered:%' order by key, version desc) newest
        where value ->> 'state' = 'chosen' and value ->> 'removed' = 'false') w
    where h.value <> 'null'::jsonb),
  gone as (
    delete from handed_back where job_id in (select id from asked) and job_id not in (select job_id from stands))
  insert into handed_back (job_id, at, handed, cause, cause_id, route, chosen, words)
  select job_id, at, handed, cause, cause_id, route, chosen, words from stands
  on conflict (job_id) do update set at = excluded.at, handed = excluded.handed, cause = excluded.cause, cause_id = excluded.cause_id,
    route = excluded.route, chosen = excluded.chosen, words = excluded.words
$$;

create function choice_of_handed_back() returns trigger language plpgsql as $$
begin
  perform hand_back(array(
    select distinct f.job_id from fresh f
    where f.key = 'returned'
       or ((f.key = 'route' or f.key like 'considered:%') and exists (select from handed_back h where h.job_id = f.job_id))));
  return null;
end $$;
create trigger hands_back after insert on choices referencing new table as fresh for each statement execute function choice_of_handed_back();

create function job_of_handed_back() returns trigger language plpgsql as $$
begin
  perform hand_back(array(select f.id from fresh f join handed_back h on h.job_id = f.id));
  return null;
end $$;
create trigger hands_back_anew after update on jobs referencing new table as fresh for each statement execute function job_of_handed_back();

create function customer_of_handed_back() returns trigger language plpgsql as $$
begin
  perform hand_back(array(select j.id from fresh f join jobs j on j.customer_id = f.id join handed_back h on h.job_id = j.id));
  return null;
end $$;
create trigger hands_back_anew after update on customers referencing new table as fresh for each statement execute function customer_of_handed_back();

select hand_back(array(select distinct job_id from choices where key = 'returned'));

-- Read by the ledger only, which reads the rows above now.
drop index choices_route;
drop index choices_considered;
drop index choices_returned_newest;
