-- :name jobs
-- Open jobs with what they still take.
select j.id, j.number, j.title, c.name as "customerName", j.promised_on as "promisedOn", k.standing -> 'toDo' as "toDo"
from standings s join jobs j on j.id = s.job_id join customers c on c.id = j.customer_id join standing_cards k on k.job_id = s.job_id
where s.urgency < 2 and k.standing ? 'toDo'
order by j.promised_on nulls last, j.number
limit $1
