-- :name all
select id, kind, from_mm as "fromMm", to_mm as "toMm", step_mm as "stepMm", version
from drill_sets where not removed order by kind, from_mm, id

-- :name byId
select id, kind, from_mm as "fromMm", to_mm as "toMm", step_mm as "stepMm", version from drill_sets where id = $1

-- :name insert
insert into drill_sets (id, kind, from_mm, to_mm, step_mm, removed) values ($1, $2, $3, $4, $5, $6) on conflict do nothing

-- :name update
update drill_sets set kind = $3, from_mm = $4, to_mm = $5, step_mm = $6, removed = $7, version = version + 1
where id = $1 and version = $2
