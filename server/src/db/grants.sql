-- What the server may do, stated whole at every start: a table that stands in no line below can only be read. It empties no table, and
-- makes, alters and drops nothing.
revoke all on all tables in schema public from iron_patch_app;
revoke all on all sequences in schema public from iron_patch_app;
grant usage on schema public to iron_patch_app;
grant select on all tables in schema public to iron_patch_app;
grant usage on all sequences in schema public to iron_patch_app;
-- Only added to.
grant insert on
  audit, bar_counts, choices, house_rule_changes, instrument_checks, kept_cards, notes, old_jobs, old_list_withdrawals, old_lists, photo_pixels, proofs, quote_answers, quote_links, quote_questions, quote_withdrawals, quotes, rates, readings,
  releases
  to iron_patch_app;
-- Changed, and never taken away.
grant insert, update on accounts, bars, customers, drill_sets, instruments, jobs, machines, people, standing_cards, standings, tools to iron_patch_app;
grant update on shop_cards, shop_changes to iron_patch_app;
-- Taken away as well.
grant insert, update, delete on components, device_people, devices, places, idempotency_keys, photos, sign_in_misses to iron_patch_app;
