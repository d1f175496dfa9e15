-- :name newest
select distinct on (job_id, key) job_id as "jobId", key, version, value, reason, person_id as "personId",
       to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
from choices where job_id = any ($1::uuid[]) order by job_id, key, version desc

-- :name history
select job_id as "jobId", key, version, value, reason, person_id as "personId",
       to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
from choices where job_id = $1 and key = $2 order by version desc

-- :name insert
insert into choices (job_id, key, version, value, reason, person_id) values ($1, $2, $3, $4, $5, $6) on conflict do nothing
