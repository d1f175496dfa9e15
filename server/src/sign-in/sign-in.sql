-- :name atDevice
select d.id as "deviceId", d.at_bench as "atBench", d.seen_at < now() - make_interval(mins => $2) as idle, d.seen_at < now() - interval '1 minute' as stale,
       p.id as "personId", p.name, p.access, a.borrowed, a.pin_hash is not null and dp.misses < $3 and dp.proved_at > now() - make_interval(days => $4) as pin
from devices d
  left join (device_people dp join accounts a on a.person_id = dp.person_id and a.epoch = dp.epoch join people p on p.id = dp.person_id and not p.gone)
    on dp.device_id = d.id
where d.token_hash = $1 and d.seen_at > now() - make_interval(days => $5)
order by p.name

-- :name noAccounts
select not exists (select from accounts) as first

-- :name lockFirst
select pg_advisory_xact_lock(74656003)

-- :name knocked
insert into sign_in_misses (who, misses, until, at) values ($1, 0, to_timestamp(0), now()) on conflict do nothing

-- :name wait
select case when at < now() - interval '1 day' then 0 else misses end as misses, ceil(greatest(0, extract(epoch from until - clock_timestamp())))::int as "waitS"
from sign_in_misses where who = $1 for update

-- :name missed
update sign_in_misses set misses = $2, until = clock_timestamp() + make_interval(secs => $3), at = now() where who = $1

-- :name forgive
delete from sign_in_misses where who = $1

-- :name account
select p.id as "personId", p.name, a.password_hash as "passwordHash", a.pin_hash as "pinHash", a.borrowed
from accounts a join people p on p.id = a.person_id and not p.gone
where p.id = $1

-- :name personNamed
select id from people where lower(name) = lower($1) and not gone

-- :name addAccount
insert into accounts (person_id, password_hash, borrowed) values ($1, $2, $3)
on conflict (person_id) do update set password_hash = excluded.password_hash, borrowed = excluded.borrowed, pin_hash = null, epoch = accounts.epoch + 1,
  changed_at = clock_timestamp()

-- :name ownPassword
update accounts set password_hash = $2, borrowed = false, epoch = epoch + 1, changed_at = clock_timestamp() where person_id = $1

-- :name ownPin
update accounts set pin_hash = $2, changed_at = clock_timestamp() where person_id = $1

-- :name outEverywhere
update accounts set epoch = epoch + 1 where person_id = $1

-- :name newDevice
insert into devices (token_hash, at_bench) values ($1, $2) returning id

-- :name renewDevice
update devices set token_hash = $2, at_bench = $3, seen_at = clock_timestamp() where id = $1

-- :name provedHere
insert into device_people (device_id, person_id, epoch) select $1, person_id, epoch from accounts where person_id = $2
on conflict (device_id, person_id) do update set epoch = excluded.epoch, proved_at = clock_timestamp(), misses = 0

-- :name pinTried
update device_people dp set misses = misses + 1 from accounts a
where dp.device_id = $1 and dp.person_id = $2 and a.person_id = dp.person_id and a.epoch = dp.epoch and a.pin_hash is not null
  and dp.misses < $3 and dp.proved_at > now() - make_interval(days => $4)
returning a.pin_hash as "pinHash"

-- :name pinRight
update device_people set misses = 0 where device_id = $1 and person_id = $2

-- :name atBench
update devices set at_bench = $2, seen_at = clock_timestamp() where id = $1

-- :name seen
update devices set seen_at = clock_timestamp() where id = $1

-- :name gone
delete from device_people where device_id = $1 and person_id = $2

-- :name accounts
select p.id as "personId", p.access, case when a.person_id is null then 'none' when a.borrowed then 'borrowed' else 'own' end as password,
       a.pin_hash is not null as pin, count(d.id)::int as devices, max(d.seen_at) as "seenAt"
from people p left join accounts a on a.person_id = p.id
  left join device_people dp on dp.person_id = a.person_id and dp.epoch = a.epoch
  left join devices d on d.id = dp.device_id and d.seen_at > now() - make_interval(days => $1)
where not p.gone
group by p.id, a.person_id order by p.name

-- :name forgetOld
with old as (delete from devices where seen_at < now() - make_interval(days => $1)) delete from sign_in_misses where at < now() - interval '1 day'
