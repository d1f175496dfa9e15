-- :name waiting
-- Open jobs in which something is planned and not sawn yet.
select j.id, j.number, j.title, j.promised_on as "promisedOn", k.standing -> 'saws' as saws
from standings s join jobs j on j.id = s.job_id join standing_cards k on k.job_id = s.job_id
where s.urgency < 2 and k.standing ? 'saws'
order by j.promised_on nulls last, j.number
