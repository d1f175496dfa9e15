-- :name jobs
select id from jobs order by number

-- :name tables
select tablename as name from pg_tables where schemaname = 'public' order by tablename

-- :name next
fetch 1000 from everything

-- :name close
close everything
