-- House rules keep every version with who and why; the newest of an id is in force, one without a card is withdrawn.
create table house_rule_changes (
  rule_id text not null,
  version int not null check (version > 0),
  position int not null,
  card jsonb,
  because text not null,
  person_id text references people,
  at timestamptz not null default clock_timestamp(),
  primary key (rule_id, version)
);
insert into house_rule_changes (rule_id, version, position, card, because)
select id, 1, position, card, 'The shop’s starting value.' from house_rules;
drop table house_rules;
create trigger tell after insert on house_rule_changes for each row execute function tell_screens();
