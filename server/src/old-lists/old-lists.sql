-- :name lists
select l.id, l.name, (select count(*)::int from old_jobs where list_id = l.id) as jobs, l.person_id as "personId",
       to_char(l.at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at,
       to_char(w.at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as "takenBackAt"
from old_lists l left join old_list_withdrawals w on w.list_id = l.id
where $1::uuid is null or l.id = $1
order by l.at desc, l.id

-- :name same
select l.name from old_lists l where l.digest = $1 and l.id not in (select list_id from old_list_withdrawals)

-- :name lock
-- One list comes in at a time: two at once would not see that they are the same.
select pg_advisory_xact_lock(hashtextextended('old_lists', 0))

-- :name insertList
insert into old_lists (id, name, digest, person_id) values ($1, $2, $3, $4)

-- :name insertJobs
insert into old_jobs (list_id, line, number, done_on, customer, machine, title, cause, route, lesson)
select $1, line, number, "doneOn", customer, machine, title, cause, route, lesson
from jsonb_to_recordset($2::jsonb) as j (line integer, number text, "doneOn" date, customer text, machine text, title text, cause text, route text, lesson text)

-- :name takeBack
insert into old_list_withdrawals (list_id, person_id) select id, $2 from old_lists where id = $1 on conflict (list_id) do nothing
