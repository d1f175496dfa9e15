-- What is measured on something that came in is a place; a feature is what is cut into a part.
alter table features rename to places;
alter table places rename column mates_feature_id to mates_place_id;
alter index features_pkey rename to places_pkey;
alter index features_job rename to places_job;
alter table readings rename column feature_id to place_id;

-- The same in what was decided and in markers of photographs: names within the value, nothing that anybody said. A name stands before a
-- colon and behind no backslash; within a text its quotes would be escaped.
create function places_named(card jsonb) returns jsonb language sql immutable as $$
  select regexp_replace(regexp_replace(regexp_replace(card::text,
    '(?<!\\)"featureId":', '"placeId":', 'g'),
    '(?<!\\)"timedToFeatureId":', '"timedToPlaceId":', 'g'),
    '(?<!\\)"fitsFeatureIds":', '"fitsPlaceIds":', 'g')::jsonb
$$;
alter table choices disable trigger user;
update choices set value = places_named(value) where value::text like '%eatureId%';
alter table choices enable trigger user;
alter table photos disable trigger user;
update photos set markers = places_named(markers) where markers::text like '%featureId%';
alter table photos enable trigger user;
drop function places_named(jsonb);
