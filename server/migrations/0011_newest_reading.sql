-- The newest readings of one quantity of a place in one state of its part are found by the index alone, however many there are.
create index readings_newest on readings
  (feature_id, quantity, coalesce(after_act_id, '00000000-0000-0000-0000-000000000000'::uuid), taken_at desc, seq desc);
drop index readings_feature;
