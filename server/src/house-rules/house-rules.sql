-- :name current
select rule_id as "ruleId", version, card from (
  select distinct on (rule_id) rule_id, version, position, card from house_rule_changes order by rule_id, version desc
) newest where card is not null order by position, rule_id

-- :name history
select rule_id as "ruleId", version, card as rule, because, person_id as "personId",
       to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at
from house_rule_changes where rule_id = $1 order by version desc

-- :name insert
insert into house_rule_changes (rule_id, version, position, card, because, person_id)
values ($1, $2, coalesce((select min(position) from house_rule_changes where rule_id = $1),
                         (select coalesce(max(position), -1) + 1 from house_rule_changes)), $3, $4, $5)
on conflict do nothing
