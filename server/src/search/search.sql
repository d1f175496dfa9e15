-- :name words
with said as (
  select 'job' as kind, 0 as rank, j.id as job_id, 'receive' as station, null::uuid as place_id,
    concat_ws(' ', j.number, j.title, j.machine, c.name, j.complaint) as words
  from jobs j join customers c on c.id = j.customer_id
  union all
  select 'component', 1, job_id, 'strip', null, name || case when as_found = '' then '' else ': ' || as_found end from components
  union all
  select 'place', 1, job_id, 'measure', id, name from places
  union all
  select 'note', 2, job_id, station, null, text from notes
  union all
  select 'lesson', 2, job_id, 'return', null, handed ->> 'lesson' from handed_back where handed ->> 'lesson' <> ''
), found as (
  select *, word_similarity($2, words) as alike from said
  where case when $3 then word_similarity($2, words) >= 0.4
    else not exists (select from unnest($1::text[]) as word where position(word in lower(words)) = 0) end
)
select found.kind, j.id as "jobId", j.number, j.title, c.name as "customerName", j.machine, j.unit, found.station,
  found.place_id as "placeId", found.words, null::double precision as "valueMm"
from found join jobs j on j.id = found.job_id join customers c on c.id = j.customer_id
order by case when $3 then -found.alike else found.rank end, j.number desc, found.words
limit $4

-- :name sizes
select distinct on (j.number, f.id) 'size' as kind, j.id as "jobId", j.number, j.title, c.name as "customerName", j.machine, j.unit,
  'measure' as station, f.id as "placeId", f.name as words, r.value_mm as "valueMm"
from readings r
  join places f on f.id = r.place_id join jobs j on j.id = r.job_id join customers c on c.id = j.customer_id
where r.purpose = 'found' and not r.withdrawn and r.quantity = 'size' and r.value_mm between $1 and $2
  and not exists (select from readings later where later.supersedes_id = r.id)
order by j.number desc, f.id, abs(r.value_mm - ($1 + $2) / 2)
limit $3
