-- :name all
select id, name, kind, unit, u_mm as "uMm", repeat_mm as "repeatMm", resolution_mm as "resolutionMm", bias_mm as "biasMm",
       range_low_mm as "rangeLowMm", range_high_mm as "rangeHighMm", to_char(calibrated_on, 'YYYY-MM-DD') as "calibratedOn",
       to_char(due_on, 'YYYY-MM-DD') as "dueOn", version
from instruments order by name

-- :name byId
select id, name, kind, unit, u_mm as "uMm", repeat_mm as "repeatMm", resolution_mm as "resolutionMm", bias_mm as "biasMm",
       range_low_mm as "rangeLowMm", range_high_mm as "rangeHighMm", to_char(calibrated_on, 'YYYY-MM-DD') as "calibratedOn",
       to_char(due_on, 'YYYY-MM-DD') as "dueOn", version
from instruments where id = $1

-- :name insert
insert into instruments (id, name, kind, unit, u_mm, repeat_mm, resolution_mm, bias_mm, range_low_mm, range_high_mm, calibrated_on, due_on)
values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12) on conflict do nothing

-- :name update
update instruments set name = $3, kind = $4, unit = $5, u_mm = $6, repeat_mm = $7, resolution_mm = $8, bias_mm = $9, range_low_mm = $10,
       range_high_mm = $11, calibrated_on = $12, due_on = $13, version = version + 1
where id = $1 and version = $2

-- :name sameName
select 1 from instruments where lower(name) = lower($1) and id <> $2

-- :name checks
select id, instrument_id as "instrumentId", reference, reference_mm as "referenceMm", text, unit, read_mm as "readMm", remark,
       person_id as "personId", to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at
from instrument_checks order by seq

-- :name insertCheck
insert into instrument_checks (instrument_id, reference, reference_mm, text, unit, read_mm, remark, person_id)
values ($1, $2, $3, $4, $5, $6, $7, $8)
returning id, instrument_id as "instrumentId", reference, reference_mm as "referenceMm", text, unit, read_mm as "readMm", remark,
          person_id as "personId", to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at
