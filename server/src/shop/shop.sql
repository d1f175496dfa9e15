-- :name people
select id, name, role from people order by name

-- :name lathes
select card from lathes order by position

-- :name rack
select id, material_id as "materialId", diameter_mm as "diameterMm", length_mm as "lengthMm", place from bars order by material_id, diameter_mm, length_mm

-- :name customers
select id, name, contact from customers order by lower(name)

-- :name machines
select customer_id as "customerId", machine as name from jobs where machine <> '' group by customer_id, machine order by max(number) desc
