-- :name page
-- What is in the ledger, the newest first, $2 of it: jobs that are handed back, and those of old lists. $1: patterns of words, of which a job
-- has every one in its ticket, or every one of the words $10 at the beginning of a word of its sheet; $3 and $4 the bounds in mm of a size,
-- of which it has one together with the words of $5; $6 first day, $7 last day, of time zone $8; $9 a job, of whose machine it is.
with by_sheet as (
  select job_id from ledger_cards
  where words @@ (select to_tsquery('simple', string_agg('''' || replace(replace(w, '\', '\\'), '''', '''''') || ''':*', ' & ')) from unnest($10::text[]) w)),
near as (
  select s.* from unnest($3::double precision[], $4::double precision[]) as asked (from_mm, to_mm)
    join ledger_sizes s on s.mm between asked.from_mm and asked.to_mm),
sized as (
  select distinct s.job_id from near s join handed_back h on h.job_id = s.job_id where (h.words || ' ' || s.words) like all ($5::text[])),
machine as (select id, customer_id, lower(trim(machine)) as machine from jobs where id = $9::uuid),
found as (
  select h.job_id, null::uuid as old_id, h.at
  from handed_back h
  where (h.words like all ($1::text[]) or h.job_id in (select job_id from by_sheet) or h.job_id in (select job_id from sized))
    and ($6::date is null or (h.at at time zone $8)::date >= $6) and ($7::date is null or (h.at at time zone $8)::date <= $7)
    and ($9::uuid is null or h.job_id in (select j.id from machine m join jobs j on j.customer_id = m.customer_id and lower(trim(j.machine)) = m.machine))
  union all
  select null, o.id, o.done_on::timestamp at time zone $8
  from old_jobs o
  where o.list_id not in (select list_id from old_list_withdrawals) and o.words like all ($1::text[])
    and ($6::date is null or o.done_on >= $6) and ($7::date is null or o.done_on <= $7)
    and ($9::uuid is null or exists (select from machine m join customers c on c.id = m.customer_id
                                     where lower(trim(o.machine)) = m.machine and lower(trim(o.customer)) = lower(trim(c.name))))),
shown as (
  select f.*, (select count(*)::int from found) as found from found f order by f.at desc nulls last, f.job_id, f.old_id limit $2)
select f.job_id as "jobId", coalesce(j.number::text, o.number) as number, coalesce(j.title, o.title) as title, coalesce(c.name, o.customer) as "customerName",
       coalesce(j.machine, o.machine) as machine, to_char(coalesce((h.at at time zone $8)::date, o.done_on), 'YYYY-MM-DD') as "returnedOn",
       coalesce(h.handed ->> 'outcome', 'passed') = 'not-passed' as "notPassed", coalesce(h.cause, o.cause) as cause, coalesce(h.route, o.route) as route,
       coalesce(h.handed ->> 'lesson', o.lesson, '') as lesson, s.sizes, f.found
from shown f left join handed_back h on h.job_id = f.job_id left join jobs j on j.id = f.job_id left join customers c on c.id = j.customer_id
  left join old_jobs o on o.id = f.old_id
  cross join lateral (
    select coalesce(jsonb_agg(jsonb_build_object('name', s.name, 'mm', s.mm, 'kind', s.kind, 'words', s.said) order by s.kind desc, s.name), '[]') as sizes
    from near s where s.job_id = f.job_id and (h.words || ' ' || s.words) like all ($5::text[])) s
order by f.at desc nulls last, j.number desc, o.line desc

-- :name counts
-- $1 'cause' or 'route'.
with back as materialized (
  select distinct (value ->> 'ofJobId')::uuid as job_id
  from (select distinct on (job_id) job_id, value from choices where key = 'comeback' order by job_id, version desc) newest
  where value <> 'null'::jsonb)
select case $1 when 'cause' then h.cause_id else h.chosen end as id, count(*)::int as jobs, count(b.job_id)::int as "cameBack"
from handed_back h left join back b on b.job_id = h.job_id
group by 1 order by jobs desc, id

-- :name promised
-- Days are those of the shop's calendar, in time zone $1.
select count(*) filter (where (h.at at time zone $1)::date <= j.promised_on)::int as kept,
       count(*) filter (where (h.at at time zone $1)::date > j.promised_on)::int as late
from handed_back h join jobs j on j.id = h.job_id where j.promised_on is not null
