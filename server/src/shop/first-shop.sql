-- :name empty
select not exists (select 1 from people) as empty

-- :name instrument
insert into instruments (id, name, kind, unit, u_mm, range_low_mm, range_high_mm, repeat_mm, resolution_mm, bias_mm,
                         calibrated_on, due_on)
values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)

-- :name noRules
select not exists (select 1 from house_rule_changes) as empty
