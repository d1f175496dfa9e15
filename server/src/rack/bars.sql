-- :name all
select id, shape, material_id as "materialId", diameter_mm as "diameterMm", inner_mm as "innerMm", finish, length_mm as "lengthMm", pieces,
       place, price_minor as "priceMinor", version
from bars where not removed order by material_id, diameter_mm, length_mm

-- :name byId
select id, shape, material_id as "materialId", diameter_mm as "diameterMm", inner_mm as "innerMm", finish, length_mm as "lengthMm", pieces,
       place, price_minor as "priceMinor", version
from bars where id = $1

-- :name insert
insert into bars (id, shape, material_id, diameter_mm, inner_mm, finish, length_mm, pieces, place, price_minor, removed)
values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) on conflict do nothing

-- :name update
update bars set shape = $3, material_id = $4, diameter_mm = $5, inner_mm = $6, finish = $7, length_mm = $8, pieces = $9, place = $10,
       price_minor = $11, removed = $12, version = version + 1
where id = $1 and version = $2

-- :name count
insert into bar_counts (bar_id, pieces, length_mm, why, person_id) values ($1, $2, $3, $4, $5)

-- :name counts
select pieces, length_mm as "lengthMm", why, coalesce(person_id, '') as "personId",
       to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at
from bar_counts where bar_id = $1 order by seq desc limit 200
