-- :name card
select name, unit, decimal_mark as "decimalMark", walked, warranty, version from shop_cards

-- :name changeCard
update shop_cards set name = $2, unit = $3, decimal_mark = coalesce($4, decimal_mark), walked = $5, warranty = coalesce($6, warranty), version = version + 1 where version = $1

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
