-- :name all
select id, kind, size_mm as "sizeMm", thread, note, pieces, version from tools where not removed order by kind, size_mm, thread, position

-- :name byId
select id, kind, size_mm as "sizeMm", thread, note, pieces, version from tools where id = $1

-- :name insert
insert into tools (id, kind, size_mm, thread, note, pieces, removed) values ($1, $2, $3, $4, $5, $6, $7) on conflict do nothing

-- :name update
update tools set kind = $3, size_mm = $4, thread = $5, note = $6, pieces = $7, removed = $8, version = version + 1
where id = $1 and version = $2
