-- :name byJobs
select id, job_id as "jobId", caption, width_px as "widthPx", height_px as "heightPx", markers, person_id as "personId",
       to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at, version
from photos where job_id = any ($1::uuid[]) order by at, id

-- :name byId
select id, job_id as "jobId", caption, width_px as "widthPx", height_px as "heightPx", markers, person_id as "personId",
       to_char(at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as at, version
from photos where id = $1

-- :name insert
insert into photos (id, job_id, caption, width_px, height_px, markers, person_id) values ($1, $2, $3, $4, $5, $6, $7)

-- :name insertPixels
insert into photo_pixels (photo_id, size, jpeg) values ($1, 'large', $2), ($1, 'small', $3)

-- :name update
update photos set caption = $3, markers = $4, version = version + 1 where id = $1 and version = $2

-- :name remove
delete from photos where id = $1 and version = $2

-- :name pixels
select jpeg from photo_pixels where photo_id = $1 and size = $2
