-- :name newest
-- In the order in which each was first made, so that a list does not jump when one of its items is changed.
select newest.job_id as "jobId", newest.key, newest.version, newest.value, newest.reason, newest.person_id as "personId",
       to_char(newest.at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
from (select distinct on (job_id, key) * from choices where job_id = any ($1::uuid[]) order by job_id, key, version desc) newest
join choices first on first.job_id = newest.job_id and first.key = newest.key and first.version = 1
order by first.at, newest.key

-- :name history
select job_id as "jobId", key, version, value, reason, person_id as "personId",
       to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
from choices where job_id = $1 and key = $2 order by version desc

-- :name insert
insert into choices (job_id, key, version, value, reason, person_id) values ($1, $2, $3, $4, $5, $6) on conflict do nothing
