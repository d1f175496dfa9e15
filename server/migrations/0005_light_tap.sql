-- The light tap was clearance over most of its band. Where a shop still has the starting value, it becomes tight over the whole band; the
-- old value stays in its history, and whoever wants it back writes it again.
insert into house_rule_changes (rule_id, version, position, card, because)
select
  rule_id, version + 1, position,
  card || '{"baseMm": -0.01016, "ratePerDiameter": -0.0002}'::jsonb,
  'A light tap is tight over its whole band, about k6.'
from (select distinct on (rule_id) * from house_rule_changes where rule_id = 'light-tap' order by rule_id, version desc) newest
where card is not null and abs((card ->> 'baseMm')::float8 + 0.00508) < 1e-6 and (card ->> 'ratePerDiameter')::float8 = 0;
