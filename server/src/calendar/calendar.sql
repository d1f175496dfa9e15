-- :name promised
-- What open jobs are promised for, and what they wait for with a day.
select j.id, j.number, j.title, c.name as "customerName", j.promised_on as "promisedOn", k.standing -> 'toDo' as "toDo"
from standings s join jobs j on j.id = s.job_id join customers c on c.id = j.customer_id left join standing_cards k on k.job_id = s.job_id
where s.urgency < 2
order by j.number
