-- :name all
select id, name, kind, card, version from machines where not removed order by position

-- :name byId
select id, name, kind, card, version from machines where id = $1

-- :name insert
insert into machines (id, name, kind, card, removed) values ($1, $2, $3, $4, $5) on conflict do nothing

-- :name update
update machines set name = $3, kind = $4, card = $5, removed = $6, version = version + 1 where id = $1 and version = $2

-- :name sameName
select 1 from machines where lower(name) = lower($1) and id <> $2 and not removed
