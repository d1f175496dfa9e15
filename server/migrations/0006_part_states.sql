-- The state of the part that was read: as found, or after an act (a choice of kind act) that changed it.
alter table readings add column after_act_id uuid;
alter table readings add constraint after_act_is_of_the_old_part check (after_act_id is null or purpose = 'found');
