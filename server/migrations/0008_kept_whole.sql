-- Emptying a table is a change of all that is in it; and the history of the house rules is only added to, like everything else that is kept.
create trigger house_rule_changes_are_kept before update or delete on house_rule_changes
  for each row execute function refuse_change();
create trigger readings_stay before truncate on readings for each statement execute function refuse_change();
create trigger choices_stay before truncate on choices for each statement execute function refuse_change();
create trigger releases_stay before truncate on releases for each statement execute function refuse_change();
create trigger proofs_stay before truncate on proofs for each statement execute function refuse_change();
create trigger notes_stay before truncate on notes for each statement execute function refuse_change();
create trigger instrument_checks_stay before truncate on instrument_checks for each statement execute function refuse_change();
create trigger house_rule_changes_stay before truncate on house_rule_changes for each statement execute function refuse_change();
create index idempotency_keys_age on idempotency_keys (created_at);
