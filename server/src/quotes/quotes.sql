-- :name byJobs
select q.id, q.job_id as "jobId", q.number, q.card, q.person_id as "personId",
       to_char(q.at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at,
       (select jsonb_build_object('why', w.why, 'personId', w.person_id, 'at', to_char(w.at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"'))
        from quote_withdrawals w where w.quote_id = q.id) as withdrawn,
       (select jsonb_build_object('wayId', a.way_id, 'name', a.name, 'note', a.note,
                                  'at', to_char(a.at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"'))
        from quote_answers a where a.quote_id = q.id) as answer,
       (select coalesce(jsonb_agg(jsonb_build_object('name', n.name, 'text', n.text,
                                                     'at', to_char(n.at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')) order by n.seq), '[]')
        from quote_questions n where n.quote_id = q.id) as questions
from quotes q where q.job_id = any ($1::uuid[]) order by q.job_id, q.number

-- :name jobOf
select job_id as "jobId" from quotes where id = $1

-- :name insert
insert into quotes (id, job_id, number, card, person_id)
values ($1, $2, (select coalesce(max(number), 0) + 1 from quotes where job_id = $2), $3, $4)

-- :name link
insert into quote_links (digest, quote_id, person_id) values ($1, $2, $3)

-- :name withdraw
insert into quote_withdrawals (quote_id, why, person_id) values ($1, $2, $3) on conflict do nothing

-- :name linked
-- The quote that a link leads to: the newest of its links alone does.
select l.quote_id as "quoteId", q.job_id as "jobId" from quote_links l join quotes q on q.id = l.quote_id
where l.digest = $1 and not exists (select 1 from quote_links later where later.quote_id = l.quote_id and later.seq > l.seq)

-- :name lock
select pg_advisory_xact_lock(hashtextextended($1::text, 0))

-- :name answer
insert into quote_answers (quote_id, way_id, name, note) values ($1, $2, $3, $4) on conflict do nothing

-- :name question
insert into quote_questions (quote_id, name, text)
select $1, $2, $3 where (select count(*) from quote_questions where quote_id = $1) < $4
