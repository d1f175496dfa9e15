-- :name byJobs
select id, job_id as "jobId", name, role, material_id as "materialId", axis_offset_mm as "axisOffsetMm", verdict, as_found as "asFound", version
from components where job_id = any ($1::uuid[]) order by created_at, id

-- :name byId
select id, job_id as "jobId", name, role, material_id as "materialId", axis_offset_mm as "axisOffsetMm", verdict, as_found as "asFound", version
from components where id = $1

-- :name insert
insert into components (job_id, name, role, material_id, axis_offset_mm, verdict, as_found) values ($1, $2, $3, $4, $5, $6, $7) returning id

-- :name update
update components set name = $3, role = $4, material_id = $5, axis_offset_mm = $6, verdict = $7, as_found = $8, version = version + 1
where id = $1 and version = $2

-- :name features
select count(*)::int as n from features where component_id = $1

-- :name remove
delete from components where id = $1 and version = $2
