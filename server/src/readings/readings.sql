-- :name byJobs
select {{read}}
from readings where job_id = any ($1::uuid[]) order by seq

-- :name byIds
select {{read}}
from readings where id = any ($1::uuid[]) order by seq

-- :name insert
insert into readings ({{columns}})
select * from unnest ({{arrays}})

-- :name standsWith
-- Everything that one reading is checked against, of one moment: $1 job, $2 person, $3 key of the request, $4 instrument, $5 place,
-- $6 quantity, $7 act, $8 key of the act's choice, $9 the reading that it corrects, $10 item, $11 keys of choices that tell of the item.
select
  exists (select 1 from jobs where id = $1) as job,
  exists (select 1 from people where id = $2) as person,
  (select to_json(k) from (select route, request_hash, status, body from idempotency_keys where key = $3) k) as answered,
  (select to_json(i) from (select name, kind, range_low_mm as "rangeLowMm", range_high_mm as "rangeHighMm" from instruments where id = $4) i)
    as instrument,
  (select to_json(f) from (select job_id as "jobId", kind from places where id = $5) f) as place,
  -- The newest twenty first, so that a place with thousands of readings costs no more than one with a few.
  (select value_mm
   from (select id, value_mm, taken_at, seq from readings
         where place_id = $5 and quantity = $6 and not withdrawn
           and coalesce(after_act_id, '00000000-0000-0000-0000-000000000000'::uuid) = coalesce($7, '00000000-0000-0000-0000-000000000000'::uuid)
         order by taken_at desc, seq desc limit 20) newest
   where not exists (select 1 from readings s where s.supersedes_id = newest.id)
   order by taken_at desc, seq desc limit 1) as "lastMm",
  -- Whether the act is on record as done on the component of the place.
  exists (
    select 1 from (select distinct on (key) value from choices where job_id = $1 and key = $8 order by key, version desc) act, places f
    where f.id = $5 and act.value ->> 'componentId' = f.component_id::text and act.value ->> 'state' = 'done'
      and coalesce(act.value ->> 'placeId', f.id::text) = f.id::text and not (act.value ->> 'removed')::boolean
  ) as "actDone",
  -- Whether the item is one of the job: its own new part, one that follows from a component, or one that somebody named.
  ($10::uuid = $1 or exists (select 1 from components where id = $10 and job_id = $1) or exists (select 1 from choices where job_id = $1 and key = any ($11::text[])))
    as "item",
  (select to_json(r) from (
    select job_id as "jobId", place_id as "placeId", segment_id as "segmentId", coalesce(item_id, job_id) as "itemId", piece,
           exists (select 1 from readings s where s.supersedes_id = readings.id) as already
    from readings where id = $9) r) as corrected

-- :name take
-- One reading and the answer to its request, in one statement that is a transaction of its own; adds nothing where the key is known.
with screen as materialized (select set_config('iron_patch.screen', $1, true) as said),
once as (
  insert into idempotency_keys (key, route, request_hash, status, body)
  select $2, $3, $4, 201, $5::jsonb from screen where said is not null
  on conflict (key) do nothing returning body
)
insert into readings ({{columns}})
select {{values}} from once
