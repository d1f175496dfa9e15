-- The ledger reads cause, route and comebacks of every job that was handed back.
create index choices_route on choices (job_id, version desc) where key = 'route';
create index choices_considered on choices (job_id, key, version desc) where key like 'considered:%';
create index choices_returned_newest on choices (job_id, version desc) where key = 'returned';
