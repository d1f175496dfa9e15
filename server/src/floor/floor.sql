-- :name page
-- What has to be sawn, and what is still to be done, is asked for by itself.
with chosen as (
  select s.job_id, s.urgency, count(*) over ()::int as found
  from standings s join jobs j on j.id = s.job_id
  where (s.urgency < 2 or $1)
    and (cardinality($2::text[]) = 0 or not exists (
      select from unnest($2::text[]) as word
      where position(word in lower(concat_ws(' ', j.number, j.title, j.machine,
        (select c.name from customers c where c.id = j.customer_id),
        (select k.standing -> 'next' ->> 'waitsFor' from standing_cards k where k.job_id = s.job_id)))) = 0))
  order by s.urgency, j.promised_on nulls last, j.number
  limit $3)
select j.id, j.number, j.title, j.machine, j.promised_on as "promisedOn", j.hazards, c.name as "customerName", k.standing - 'saws' - 'toDo' - 'ledger' as standing, chosen.found
from chosen join jobs j on j.id = chosen.job_id join customers c on c.id = j.customer_id left join standing_cards k on k.job_id = j.id
order by chosen.urgency, j.promised_on nulls last, j.number

-- :name rows
select j.id, j.number, j.title, j.machine, j.promised_on as "promisedOn", j.hazards, c.name as "customerName", k.standing - 'saws' - 'toDo' - 'ledger' as standing
from jobs j join customers c on c.id = j.customer_id left join standing_cards k on k.job_id = j.id
where j.id = any ($1::uuid[])

-- :name promised
select j.id, j.number, j.title, j.promised_on as "promisedOn"
from standings s join jobs j on j.id = s.job_id
where s.urgency < 2 and j.promised_on is not null
order by j.promised_on, j.number
