-- No table of records is emptied at once, whoever asks; those that are only added to refuse it already.
create function refuse_emptying() returns trigger language plpgsql as $$
begin
  raise exception '% is never emptied', tg_table_name;
end $$;
do $$
declare
  name text;
begin
  foreach name in array array['people', 'instruments', 'lathes', 'bars', 'customers', 'jobs', 'components', 'features', 'photos', 'photo_pixels', 'drill_sets'] loop
    execute format('create trigger stays before truncate on %I for each statement execute function refuse_emptying()', name);
  end loop;
end $$;
