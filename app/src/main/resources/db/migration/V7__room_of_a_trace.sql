-- Readings that came with a run file stay with that run: a trace that was brought in names itself here, and what was read of
-- the room with it names that trace. Null for what was read in this book.
alter table trace add column brought_with uuid;
create index trace_brought_with on trace (brought_with);
