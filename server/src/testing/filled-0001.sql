-- A shop as the first version of the tables kept it.
insert into people (id, name, role) values ('ada', 'Ada Vey', 'owner'), ('bram', 'Bram Holt', 'machinist');
insert into instruments (id, name, kind, unit, u_mm, range_low_mm, range_high_mm)
values ('mic', 'Mic 25-50', 'micrometer', 'mm', 0.002, 25, 50), ('bore', 'Bore gauge', 'dial-bore-gauge', 'in', 0.0025, 18, 60);
insert into house_rules (id, position, card) values
  ('light-tap', 1, '{"id": "light-tap", "name": "Light tap", "baseMm": -0.00508, "ratePerDiameter": 0, "mostPlayFactor": 2, "grade": "IT6", "reason": "Driven."}'),
  ('grease', 2, '{"id": "grease", "name": "Grease", "baseMm": 0.05, "ratePerDiameter": 0.0015, "mostPlayFactor": 2, "grade": "IT6", "reason": "Runs."}');
insert into bars (id, material_id, diameter_mm, length_mm, place) values ('b1', 'steel-c45', 45, 800, 'rack');
insert into customers (id, name, contact) values ('00000000-0000-4000-8000-0000000000c1', 'Lower mill', '');

insert into jobs (id, customer_id, title, machine, complaint, want, ask_before, pieces, promised_on, unit, shop_temp_c, hazards)
select ('00000000-0000-4000-8000-00000000a' || to_char(n, 'FM000'))::uuid, '00000000-0000-4000-8000-0000000000c1', 'Pin ' || n, 'Sluice gate', 'Worn.',
  'like-for-like', '', 2, '2026-03-01', case when n % 2 = 0 then 'in' else 'mm' end, 20,
  case when n = 1 then '{burning-metals,vessel}'::text[] else '{}' end
from generate_series(1, 40) n;
insert into components (id, job_id, name, role, material_id, axis_offset_mm, verdict, as_found)
select gen_random_uuid(), id, part.name, part.role, 'steel-c45', 0, part.verdict, ''
from jobs, (values ('Pin', 'worn', 'remake'), ('Arm', 'mate', null)) part (name, role, verdict);
insert into features (job_id, component_id, name, side, start_mm, length_mm, land, stations_mm, clocks_deg, instrument_id)
select job_id, id, 'Bore of the arm', 'inside', 0, 40, 'worn', '{10,30}', '{0,90}', 'bore' from components where name = 'Arm';
insert into features (job_id, component_id, name, side, start_mm, length_mm, land, mates_feature_id, stations_mm, clocks_deg, instrument_id)
select c.job_id, c.id, 'Body', 'outside', 0, 60, 'worn', f.id, '{10,30}', '{0,90}', 'mic'
from components c join features f on f.job_id = c.job_id where c.name = 'Pin';
insert into readings (id, job_id, purpose, feature_id, station_mm, clock_deg, text, unit, value_mm, instrument_id, person_id, taken_at)
select gen_random_uuid(), job_id, 'found', id, s, c, case when side = 'outside' then '39.91' else '40.06' end, 'mm',
  case when side = 'outside' then 39.91 else 40.06 end, instrument_id, 'bram', '2026-02-03T09:00:00Z'
from features, unnest(stations_mm) s, unnest(clocks_deg) c;
-- One was typed wrong and put right, and one was taken back.
insert into readings
  (id, job_id, purpose, feature_id, station_mm, clock_deg, text, unit, value_mm, instrument_id, person_id, taken_at, supersedes_id, withdrawn)
select gen_random_uuid(), job_id, 'found', feature_id, station_mm, clock_deg, '39.92', 'mm', 39.92, instrument_id, 'ada', '2026-02-03T10:00:00Z', id, turn = 2
from (select *, row_number() over (partition by job_id order by seq) as turn from readings) r where turn <= 2;
insert into choices (job_id, key, version, value, reason, person_id)
select job_id, 'nominal:' || id, 1, '{"sizeMm": 40, "name": "40 mm"}', 'A 40 mm pin.', 'ada' from features where side = 'outside';
-- A drawn part, changed once, and its release.
insert into choices (job_id, key, version, value, reason, person_id)
select job_id, 'part', v, jsonb_build_object('name', 'Pin', 'materialId', 'steel-c45', 'bore', null,
  'crossHoles', jsonb_build_array(jsonb_build_object('id', 'h', 'diameterMm', 6, 'atMm', 50, 'clockDeg', 90)),
  'segments', jsonb_build_array(
    jsonb_build_object('id', 'head', 'kind', 'head', 'name', 'Head', 'lengthMm', 8, 'diameterMm', 56, 'chamferLeftMm', 1, 'chamferRightMm', 0, 'fitsFeatureIds', '[]'::jsonb),
    jsonb_build_object('id', 'body', 'kind', 'cylinder', 'name', 'Body', 'lengthMm', 60 + v, 'diameterMm', 40, 'chamferLeftMm', 0, 'chamferRightMm', 1,
      'fitsFeatureIds', jsonb_build_array(id)))), 'The "featureId": of it.', 'ada'
from features, generate_series(1, 2) v where side = 'inside';
insert into choices (job_id, key, version, value, reason, person_id)
select job_id, 'fit:' || id, 1, '{"schoolId": "grease", "hole": "keep", "truedMm": null}', '', 'ada' from features where side = 'inside';
insert into notes (job_id, station, text, person_id) select id, 'strip', 'Came out with the press.', 'bram' from jobs;
