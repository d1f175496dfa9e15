-- What cuts and hangs in the crib: turning tools, cutters, reamers, taps, dies.
create table tools (
  id text primary key,
  position int generated always as identity,
  kind text not null,
  size_mm double precision check (size_mm > 0),
  thread text not null default '',
  note text not null default '',
  pieces int not null default 1 check (pieces > 0),
  removed boolean not null default false,
  version int not null default 1
);
create trigger tell after insert or update on tools for each row execute function tell_screens();
create trigger stays before truncate on tools for each statement execute function refuse_emptying();
