-- :name byJobs
select id, job_id as "jobId", purpose, feature_id as "featureId", segment_id as "segmentId", after_act_id as "afterActId", quantity, station_mm as "stationMm", clock_deg as "clockDeg",
       text, unit, value_mm as "valueMm", instrument_id as "instrumentId", part_temp_c as "partTempC", dial, person_id as "personId",
       to_char(taken_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as "takenAt", supersedes_id as "supersedesId", withdrawn
from readings where job_id = any ($1::uuid[]) order by seq

-- :name byIds
select id, job_id as "jobId", purpose, feature_id as "featureId", segment_id as "segmentId", after_act_id as "afterActId", quantity, station_mm as "stationMm", clock_deg as "clockDeg",
       text, unit, value_mm as "valueMm", instrument_id as "instrumentId", part_temp_c as "partTempC", dial, person_id as "personId",
       to_char(taken_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as "takenAt", supersedes_id as "supersedesId", withdrawn
from readings where id = any ($1::uuid[]) order by seq

-- :name insert
insert into readings (id, job_id, purpose, feature_id, segment_id, station_mm, clock_deg, text, unit, value_mm, instrument_id, part_temp_c,
                      dial, person_id, taken_at, supersedes_id, withdrawn, quantity, after_act_id)
select * from unnest ($1::uuid[], $2::uuid[], $3::text[], $4::uuid[], $5::text[], $6::float8[], $7::float8[], $8::text[], $9::text[],
                      $10::float8[], $11::text[], $12::float8[], $13::float8[], $14::text[], $15::timestamptz[], $16::uuid[], $17::boolean[], $18::text[], $19::uuid[])

-- :name lastOfFeature
-- The newest twenty first, so that a place with thousands of readings costs no more than one with a few.
select value_mm as "valueMm"
from (select id, value_mm, taken_at, seq from readings where feature_id = $1 and quantity = $2 and after_act_id is not distinct from $3 and not withdrawn order by taken_at desc, seq desc limit 20) newest
where not exists (select 1 from readings s where s.supersedes_id = newest.id)
order by taken_at desc, seq desc limit 1

-- :name superseded
select r.job_id as "jobId", r.feature_id as "featureId", r.segment_id as "segmentId",
       exists (select 1 from readings s where s.supersedes_id = r.id) as already
from readings r where r.id = $1

-- :name doneOn
-- Whether an act is on record as done on the component of a place.
select exists (
  select 1 from (select distinct on (key) value from choices where job_id = $1 and key = $2 order by key, version desc) act, features f
  where f.id = $3 and act.value ->> 'componentId' = f.component_id::text and act.value ->> 'state' = 'done'
    and coalesce(act.value ->> 'featureId', f.id::text) = f.id::text and not (act.value ->> 'removed')::boolean
) as done

-- :name instrument
select name, kind, range_low_mm as "rangeLowMm", range_high_mm as "rangeHighMm" from instruments where id = $1
