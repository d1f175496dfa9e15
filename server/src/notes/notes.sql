-- :name byJobs
select id, job_id as "jobId", station, text, person_id as "personId", to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
from notes where job_id = any ($1::uuid[]) order by seq

-- :name insert
insert into notes (job_id, station, text, person_id) values ($1, $2, $3, $4)
