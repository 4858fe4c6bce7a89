-- Who brought a row that is by somebody else, such as the values of a run file; null where who it is by kept it.
alter table observation add column brought_by varchar(60);
alter table decision add column brought_by varchar(60);
alter table trace_chunk add column brought_by varchar(60);

-- What no hand did and no probe measured, but a simulation.
alter table bench add column simulated boolean default false not null;
alter table entry add column simulated boolean default false not null;
alter table trace add column simulated boolean default false not null;

-- How far the computer's clock leapt forward since the reading before (s), by a clock of its own that cannot be set.
alter table trace_chunk add column leapt double precision;

-- The room is read seldom: what is of it is found by that, not by asking every bench.
create index trace_channel on trace (channel);
