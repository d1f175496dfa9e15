-- :name current
select version, card from rates order by version desc limit 1

-- :name history
select version, card, person_id as "personId", to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
from rates order by version desc

-- :name insert
insert into rates (version, card, person_id) values ($1, $2, $3) on conflict do nothing

-- :name took
-- Acts of jobs that are handed back and have a chosen route: what the model alone said then, and what was spent, summed an act; the newest jobs first.
with newest as (
  select distinct on (job_id, key) job_id, key, value, at from choices
  where (key like 'considered:%' or key like 'spent:%' or key = 'returned')
    and job_id in (select job_id from choices where key = 'returned' order by at desc limit $1)
  order by job_id, key, version desc),
done as (select job_id, at from newest where key = 'returned' and value <> 'null'::jsonb),
estimated as (
  select n.job_id, act ->> 'act' as act, sum((act ->> 'modelMin')::double precision) as minutes
  from newest n join done using (job_id), jsonb_array_elements(n.value -> 'estimated' -> 'acts') as act
  where n.key like 'considered:%' and jsonb_typeof(n.value -> 'estimated') = 'object'
    and n.value ->> 'state' = 'chosen' and n.value ->> 'removed' = 'false'
  group by 1, 2),
spent as (
  select n.job_id, n.value ->> 'act' as act, sum((n.value ->> 'minutes')::double precision) as minutes
  from newest n join done using (job_id)
  where n.key like 'spent:%' and jsonb_typeof(n.value) = 'object' and n.value ->> 'removed' = 'false'
  group by 1, 2)
select act, e.minutes as "estimatedMin", s.minutes as "tookMin"
from estimated e join spent s using (job_id, act) join done using (job_id)
where e.minutes > 0 and s.minutes > 0
order by done.at desc, act limit $2
