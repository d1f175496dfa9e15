-- What is told to the screens names the row, so that they fetch that row and not the whole sheet.
create or replace function tell_screens() returns trigger language plpgsql as $$
declare
  changed jsonb := to_jsonb(case when tg_op = 'DELETE' then old else new end);
begin
  perform pg_notify('iron_patch', json_build_object(
    'jobId', case when tg_table_name = 'jobs' then changed ->> 'id' else changed ->> 'job_id' end,
    'table', tg_table_name,
    'row', coalesce(changed ->> 'id', changed ->> 'key'),
    'screen', coalesce(current_setting('iron_patch.screen', true), ''))::text);
  return null;
end $$;
