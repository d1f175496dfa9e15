-- :name current
select version, card, person_id as "personId", to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
from kept_cards where key = $1 order by version desc limit 1

-- :name insert
insert into kept_cards (key, version, card, person_id) values ($1, $2, $3, $4) on conflict do nothing
