-- :name did
insert into audit (person_id, device_id, method, path, status, sent) values ((select id from people where id = $1), $2, $3, $4, $5, $6)
