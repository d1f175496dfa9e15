-- :name byJobs
select id, job_id as "jobId", purpose, feature_id as "featureId", segment_id as "segmentId", quantity, station_mm as "stationMm", clock_deg as "clockDeg",
       text, unit, value_mm as "valueMm", instrument_id as "instrumentId", part_temp_c as "partTempC", dial, person_id as "personId",
       to_char(taken_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as "takenAt", supersedes_id as "supersedesId", withdrawn
from readings where job_id = any ($1::uuid[]) order by seq

-- :name byIds
select id, job_id as "jobId", purpose, feature_id as "featureId", segment_id as "segmentId", quantity, station_mm as "stationMm", clock_deg as "clockDeg",
       text, unit, value_mm as "valueMm", instrument_id as "instrumentId", part_temp_c as "partTempC", dial, person_id as "personId",
       to_char(taken_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as "takenAt", supersedes_id as "supersedesId", withdrawn
from readings where id = any ($1::uuid[]) order by seq

-- :name insert
insert into readings (id, job_id, purpose, feature_id, segment_id, station_mm, clock_deg, text, unit, value_mm, instrument_id, part_temp_c,
                      dial, person_id, taken_at, supersedes_id, withdrawn, quantity)
select * from unnest ($1::uuid[], $2::uuid[], $3::text[], $4::uuid[], $5::text[], $6::float8[], $7::float8[], $8::text[], $9::text[],
                      $10::float8[], $11::text[], $12::float8[], $13::float8[], $14::text[], $15::timestamptz[], $16::uuid[], $17::boolean[], $18::text[])

-- :name lastOfFeature
-- The newest twenty first, so that a place with thousands of readings costs no more than one with a few.
select value_mm as "valueMm"
from (select id, value_mm, taken_at, seq from readings where feature_id = $1 and quantity = $2 and not withdrawn order by taken_at desc, seq desc limit 20) newest
where not exists (select 1 from readings s where s.supersedes_id = newest.id)
order by taken_at desc, seq desc limit 1

-- :name superseded
select r.job_id as "jobId", r.feature_id as "featureId", r.segment_id as "segmentId",
       exists (select 1 from readings s where s.supersedes_id = r.id) as already
from readings r where r.id = $1

-- :name instrument
select name, kind, range_low_mm as "rangeLowMm", range_high_mm as "rangeHighMm" from instruments where id = $1
