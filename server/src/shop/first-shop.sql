-- :name empty
select not exists (select 1 from people) as empty

-- :name person
insert into people (id, name, role) values ($1, $2, $3)

-- :name instrument
insert into instruments (id, name, kind, unit, u_mm, range_low_mm, range_high_mm, repeat_mm, resolution_mm, bias_mm,
                         calibrated_on, due_on)
values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)

-- :name lathe
insert into lathes (id, position, card) values ($1, $2, $3)

-- :name bar
insert into bars (id, material_id, diameter_mm, length_mm, place) values ($1, $2, $3, $4, $5)
