-- Jobs like another one are found by what they are called, by what was found, by sizes that were read; and what came back by its first job.
create index jobs_alike on jobs using gin ((title || ' ' || machine) gin_trgm_ops);
create index jobs_customer on jobs (customer_id, number);
create index choices_findings on choices ((value ->> 'findingId'), at desc) where key like 'finding:%';
create index choices_comebacks on choices ((value ->> 'ofJobId')) where key = 'comeback';
