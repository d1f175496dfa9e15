-- :name component
insert into components (id, job_id, name, role, material_id, axis_offset_mm, verdict, as_found) values ($1, $2, $3, $4, $5, $6, $7, $8)

-- :name parent
update components set parent_id = $2 where id = $1

-- :name place
insert into places (id, job_id, component_id, name, side, start_mm, length_mm, land, stations_mm, clocks_deg, instrument_id, kind, suspicions,
                      detail)
values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14)

-- :name mate
update places set mates_place_id = $2 where id = $1

-- :name note
insert into notes (id, job_id, station, text, person_id) values ($1, $2, $3, $4, $5)
