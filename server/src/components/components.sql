-- :name byJobs
select id, job_id as "jobId", parent_id as "parentId", name, role, material_id as "materialId", axis_offset_mm as "axisOffsetMm", verdict, as_found as "asFound", version
from components where job_id = any ($1::uuid[]) order by created_at, id

-- :name byId
select id, job_id as "jobId", parent_id as "parentId", name, role, material_id as "materialId", axis_offset_mm as "axisOffsetMm", verdict, as_found as "asFound", version
from components where id = $1

-- :name insert
insert into components (job_id, name, role, material_id, axis_offset_mm, verdict, as_found, parent_id)
values ($1, $2, $3, $4, $5, $6, $7, $8) returning id

-- :name update
update components set name = $3, role = $4, material_id = $5, axis_offset_mm = $6, verdict = $7, as_found = $8, parent_id = $9, version = version + 1
where id = $1 and version = $2

-- :name users
select (select count(*) from places where component_id = $1)::int as places,
       (select count(*) from components where parent_id = $1)::int as children

-- :name under
-- Whether $2 is $1 itself or came out of it.
with recursive up as (
  select id, parent_id from components where id = $2
  union
  select c.id, c.parent_id from components c join up on c.id = up.parent_id
)
select 1 from up where id = $1

-- :name remove
delete from components where id = $1 and version = $2
