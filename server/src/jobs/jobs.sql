-- :name customer
insert into customers (name, contact) values ($1, $2)
on conflict (lower(name)) do update set contact = case when excluded.contact = '' then customers.contact else excluded.contact end
returning id

-- :name insert
insert into jobs (customer_id, title, machine, complaint, want, ask_before, pieces, promised_on, unit, shop_temp_c, hazards, changes,
                  rest_by)
values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)
returning id

-- :name update
update jobs
set customer_id = $3, title = $4, machine = $5, complaint = $6, want = $7, ask_before = $8, pieces = $9, promised_on = $10,
    unit = $11, shop_temp_c = $12, hazards = $13, changes = $14, rest_by = $15, version = version + 1
where id = $1 and version = $2
returning id

-- :name byIds
select id, number, customer_id as "customerId", title, machine, complaint, want, ask_before as "askBefore", pieces,
       promised_on as "promisedOn", unit, shop_temp_c as "shopTempC", hazards, changes, rest_by as "restBy",
       to_char(received_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as "receivedAt", version
from jobs where id = any ($1::uuid[]) order by number
