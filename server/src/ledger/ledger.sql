-- :name page
-- Jobs that are handed back and have every word of $1, the newest first. A lesson that is put right later hands nothing over again.
with first as materialized (select job_id, at from choices where key = 'returned' and version = 1),
last as materialized (select distinct on (job_id) job_id, value from choices where key = 'returned' order by job_id, version desc),
handed as (select job_id, value, at from last join first using (job_id)),
route as (select distinct on (job_id) job_id, value from choices where key = 'route' order by job_id, version desc),
way as (
  select job_id, min(value ->> 'name') as name
  from (select distinct on (job_id, key) job_id, value from choices where key like 'considered:%' order by job_id, key, version desc) newest
  where value ->> 'state' = 'chosen' and value ->> 'removed' = 'false' group by job_id),
found as (
  select h.job_id, h.value as handed, h.at, j.number, j.title, j.machine, c.name as customer,
         coalesce(r.value ->> 'cause', '') as cause, coalesce(w.name, r.value ->> 'route', '') as route
  from handed h join jobs j on j.id = h.job_id join customers c on c.id = j.customer_id
    left join route r on r.job_id = h.job_id left join way w on w.job_id = h.job_id
  where h.value <> 'null'::jsonb and not exists (
    select from unnest($1::text[]) as word
    where position(word in lower(concat_ws(' ', j.number, j.title, j.machine, c.name, r.value ->> 'cause', w.name, r.value ->> 'route',
                                           h.value ->> 'lesson'))) = 0))
select job_id as "jobId", number, title, customer as "customerName", machine,
       to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as "returnedAt",
       coalesce(handed ->> 'outcome', 'passed') = 'not-passed' as "notPassed", cause, route, coalesce(handed ->> 'lesson', '') as lesson,
       (count(*) over ())::int as found
from found order by at desc, number desc limit $2

-- :name counts
-- $1 'cause' or 'route'.
with handed as materialized (select distinct on (job_id) job_id, value from choices where key = 'returned' order by job_id, version desc),
back as materialized (
  select distinct (value ->> 'ofJobId')::uuid as job_id
  from (select distinct on (job_id) job_id, value from choices where key = 'comeback' order by job_id, version desc) newest
  where value <> 'null'::jsonb),
named as materialized (
  select job_id, coalesce(value ->> 'causeId', '') as id
  from (select distinct on (job_id) job_id, value from choices where key = 'route' order by job_id, version desc) newest
  where $1 = 'cause' and value <> 'null'::jsonb
  union all
  select job_id, min(value ->> 'name')
  from (select distinct on (job_id, key) job_id, value from choices where key like 'considered:%' order by job_id, key, version desc) newest
  where $1 = 'route' and value ->> 'state' = 'chosen' and value ->> 'removed' = 'false' group by job_id)
select coalesce(n.id, '') as id, count(*)::int as jobs, count(b.job_id)::int as "cameBack"
from handed h left join named n on n.job_id = h.job_id left join back b on b.job_id = h.job_id
where h.value <> 'null'::jsonb group by 1 order by jobs desc, id

-- :name promised
-- Days are those of the shop's calendar, in time zone $1.
select count(*) filter (where (first.at at time zone $1)::date <= j.promised_on)::int as kept,
       count(*) filter (where (first.at at time zone $1)::date > j.promised_on)::int as late
from (select distinct on (job_id) job_id, value from choices where key = 'returned' order by job_id, version desc) h
join choices first on first.job_id = h.job_id and first.key = 'returned' and first.version = 1
join jobs j on j.id = h.job_id
where h.value <> 'null'::jsonb and j.promised_on is not null
