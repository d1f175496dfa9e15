-- :name page
select seq::float8 as seq, at, coalesce(person_id, '') as "personId", method, path, status, sent,
       (select number from jobs where id::text = substring(path from '^/api/jobs/([0-9a-f-]{36})')) as "jobNumber"
from audit
where ($1::bigint is null or seq < $1) and ($2 = '' or person_id = $2)
order by seq desc limit $3
