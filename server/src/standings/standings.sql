-- :name stale
-- Jobs whose standing is not of what is stored now, the open ones first. $3: of these alone; null: of all. A job that is handed back stands
-- as it did, whatever the shop changes: it is worked out again where somebody asks for it. $4: those alone whose own records changed.
select s.job_id as "jobId", s.changed::text as "ofChange"
from standings s
where (s.of_change <> s.changed or (not $4 and (s.urgency < 2 or $3::uuid[] is not null) and (s.of_shop <> $1 or s.worked_by <> $2)))
  and ($3::uuid[] is null or s.job_id = any ($3))
order by s.urgency, s.job_id
limit $5

-- :name changed
select count(*)::int as changed from (select from standings where of_change <> changed limit $1) as few

-- :name keep
-- A standing never gives way to one of an older state of its job. A job that somebody is changing just now is left: it is worked out again
-- in any case, and nobody waits for anybody.
with worked as (select * from jsonb_to_recordset($1::jsonb) as n (job_id uuid, standing jsonb, urgency smallint, of_change bigint)),
free as (select job_id from standings where job_id in (select job_id from worked) for update skip locked),
kept as (
  update standings s
  set urgency = n.urgency, of_change = n.of_change, of_shop = $2, worked_by = $3
  from worked n
  where s.job_id = n.job_id and s.of_change <= n.of_change and s.job_id in (select job_id from free)
  returning s.job_id, n.standing)
insert into standing_cards (job_id, standing) select job_id, standing from kept
on conflict (job_id) do update set standing = excluded.standing

-- :name shopChange
select changed::text as changed from shop_changes

-- :name counts
select count(*) filter (where urgency < 2)::int as open, count(*) filter (where urgency = 2)::int as returned,
       count(*) filter (where of_change <> changed or (urgency < 2 and (of_shop <> $1 or worked_by <> $2)))::int as behind
from standings

-- :name openIds
select job_id as "jobId" from standings where urgency < 2 order by job_id
