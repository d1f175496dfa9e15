-- :name people
select id, name, role from people order by name

-- :name instruments
select id, name, kind, unit, u_mm as "uMm", range_low_mm as "rangeLowMm", range_high_mm as "rangeHighMm" from instruments order by name

-- :name lathes
select card from lathes order by position

-- :name rack
select id, material_id as "materialId", diameter_mm as "diameterMm", length_mm as "lengthMm", place from bars order by material_id, diameter_mm, length_mm

-- :name customers
select id, name, contact from customers order by lower(name)
