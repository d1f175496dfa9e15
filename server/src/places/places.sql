-- :name byJobs
select id, job_id as "jobId", component_id as "componentId", name, kind, suspicions, detail, side, start_mm as "startMm", length_mm as "lengthMm", land,
       mates_place_id as "matesPlaceId", stations_mm as "stationsMm", clocks_deg as "clocksDeg", instrument_id as "instrumentId", version
from places where job_id = any ($1::uuid[]) order by created_at, id

-- :name byId
select id, job_id as "jobId", component_id as "componentId", name, kind, suspicions, detail, side, start_mm as "startMm", length_mm as "lengthMm", land,
       mates_place_id as "matesPlaceId", stations_mm as "stationsMm", clocks_deg as "clocksDeg", instrument_id as "instrumentId", version
from places where id = $1

-- :name insert
insert into places (job_id, component_id, name, side, start_mm, length_mm, land, mates_place_id, stations_mm, clocks_deg, instrument_id,
                      kind, suspicions, detail)
values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14) returning id

-- :name update
update places set component_id = $3, name = $4, side = $5, start_mm = $6, length_mm = $7, land = $8, mates_place_id = $9,
       stations_mm = $10, clocks_deg = $11, instrument_id = $12, kind = $13, suspicions = $14, detail = $15, version = version + 1
where id = $1 and version = $2

-- :name users
select (select count(*) from readings where place_id = $1)::int as readings,
       (select count(*) from places where mates_place_id = $1)::int as mates

-- :name remove
delete from places where id = $1 and version = $2

-- :name instrument
select 1 from instruments where id = $1
