-- :name all
select id, name, role, gone, access, version from people order by gone, name

-- :name byId
select id, name, role, gone, access, version from people where id = $1

-- :name insert
insert into people (id, name, role, gone, access) values ($1, $2, $3, $4, $5) on conflict do nothing

-- :name update
update people set name = $3, role = $4, gone = $5, access = $6, version = version + 1 where id = $1 and version = $2

-- :name sameName
select 1 from people where lower(name) = lower($1) and id <> $2

-- :name othersHere
select 1 from people where not gone and id <> $1

-- :name othersOwn
select 1 from people where not gone and access = 'owner' and id <> $1

-- :name lock
select pg_advisory_xact_lock(74656002)
