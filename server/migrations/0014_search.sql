-- What is looked for from anywhere: words that are spelt a little otherwise are found by their threes of letters.
create extension if not exists pg_trgm;

-- Sizes that were read, by value.
create index readings_size on readings (value_mm) where purpose = 'found' and not withdrawn;
