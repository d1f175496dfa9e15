-- :name people
select id, name, role from people order by name

-- :name lathes
select card from lathes order by position

-- :name rack
select id, material_id as "materialId", diameter_mm as "diameterMm", length_mm as "lengthMm", place from bars order by material_id, diameter_mm, length_mm

-- :name customersById
select id, name, contact from customers where id = any ($1::uuid[])

-- :name customers
-- Those whose name has $1 in it, whose name begins with it first.
select id, name, contact from customers where strpos(lower(name), lower($1)) > 0 order by strpos(lower(name), lower($1)) > 1, lower(name) limit $2

-- :name machines
-- Machines that came in before, the newest job's first: of the customer of that name, or of everybody where there is none.
select machine from jobs
where machine <> '' and (not exists (select 1 from customers where lower(name) = lower($1))
                         or customer_id = (select id from customers where lower(name) = lower($1)))
group by machine order by max(number) desc limit $2
