-- :name claim
insert into idempotency_keys (key, route, request_hash) values ($1, $2, $3) on conflict (key) do nothing

-- :name answer
update idempotency_keys set status = $2, body = $3 where key = $1

-- :name replay
select route, request_hash, status, body from idempotency_keys where key = $1

-- :name forget
delete from idempotency_keys where created_at < now() - interval '90 days'
