-- :name all
select id, name, role, gone, version from people order by gone, name

-- :name byId
select id, name, role, gone, version from people where id = $1

-- :name insert
insert into people (id, name, role, gone) values ($1, $2, $3, $4) on conflict do nothing

-- :name update
update people set name = $3, role = $4, gone = $5, version = version + 1 where id = $1 and version = $2

-- :name sameName
select 1 from people where lower(name) = lower($1) and id <> $2

-- :name othersHere
select 1 from people where not gone and id <> $1
