-- :name byJobs
select id, job_id as "jobId", coalesce(item_id, job_id) as "itemId", piece, segment_id as "segmentId", passed, measured_mm as "measuredMm", gauged_with as "gaugedWith", remark, person_id as "personId",
       to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
from proofs where job_id = any ($1::uuid[]) order by seq

-- :name insert
insert into proofs (job_id, segment_id, passed, measured_mm, remark, person_id, item_id, piece, gauged_with)
values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
