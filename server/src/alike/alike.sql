-- :name candidates
-- A few jobs by each trait, the newest or the likest of each; how like they are is weighed by core. $2 finding ids, $3 sizes in mm, $4 how many
-- of each trait, $5 share by which two sizes may differ.
with mine as (select id, customer_id, title || ' ' || machine as words from jobs where id = $1)
(select j.id from jobs j join mine m on j.customer_id = m.customer_id and j.id <> m.id order by j.number desc limit $4)
union
(select j.id from jobs j join mine m on (j.title || ' ' || j.machine) % m.words and j.id <> m.id
 order by similarity(j.title || ' ' || j.machine, m.words) desc, j.number desc limit $4)
union
(select f.job_id from unnest($2::text[]) as asked(id),
   lateral (select c.job_id from choices c where c.key like 'finding:%' and c.value ->> 'findingId' = asked.id and c.job_id <> $1
            order by c.at desc limit $4) f)
union
(select r.job_id from unnest($3::double precision[]) as asked(mm),
   lateral (select n.job_id from readings n
            where n.purpose = 'found' and not n.withdrawn and n.value_mm between asked.mm * (1 - $5::double precision) and asked.mm * (1 + $5::double precision) and n.job_id <> $1
            limit $4) r)

-- :name comebacks
select newest.value ->> 'ofJobId' as "ofJobId", j.id as "jobId", j.number
from (select distinct on (job_id) job_id, value from choices
      where key = 'comeback' and job_id in (select job_id from choices where key = 'comeback' and value ->> 'ofJobId' = any ($1::text[]))
      order by job_id, version desc) newest
join jobs j on j.id = newest.job_id
where newest.value ->> 'ofJobId' = any ($1::text[]) order by j.number
