-- :name page
-- Jobs that are handed back and have every word of $1 (patterns), the newest first, $2 of them.
with found as (select * from handed_back where words like all ($1::text[]))
select h.job_id as "jobId", j.number, j.title, c.name as "customerName", j.machine,
       to_char(h.at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as "returnedAt",
       coalesce(h.handed ->> 'outcome', 'passed') = 'not-passed' as "notPassed", h.cause, h.route, coalesce(h.handed ->> 'lesson', '') as lesson,
       (select count(*)::int from found) as found
from found h join jobs j on j.id = h.job_id join customers c on c.id = j.customer_id
order by h.at desc, j.number desc limit $2

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
