-- :name byJobs
select id, job_id as "jobId", coalesce(item_id, job_id) as "itemId", figures, person_id as "personId", to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
from releases where job_id = any ($1::uuid[]) order by seq

-- :name insert
insert into releases (job_id, figures, person_id, item_id) values ($1, $2, $3, $4)
