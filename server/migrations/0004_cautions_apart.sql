-- Magnesium, beryllium copper and leaded bronze are three cautions: where only the group was ticked, all three stand until somebody says which.
update jobs
set hazards = array(
  select distinct h from unnest(array_remove(hazards, 'burning-metals') || array['magnesium', 'beryllium', 'lead-bronze']) as h order by h
)
where 'burning-metals' = any (hazards);
