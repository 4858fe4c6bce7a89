-- Readings on a clock. A trace belongs to a bench and a channel, so that it can begin before an entry does; its readings are
-- only ever added, up to 500 in a row. Which stretch of it a trial is read from is an observation of its entry; marks and what
-- is set aside are decisions.
create table trace (
    id            uuid primary key,
    seq           bigint generated always as identity,
    bench_id      uuid        not null references bench,
    channel       varchar(20) not null,
    instrument_id uuid references instrument,
    read_every    int         not null,
    who           varchar(60) not null,
    begun_at      timestamp(6) with time zone not null
);

create index trace_bench on trace (bench_id, seq);

create table trace_chunk (
    id           uuid primary key,
    seq          bigint generated always as identity,
    trace_id     uuid not null references trace,
    seconds      double precision array[500] not null,
    temperatures double precision array[500] not null,
    text         varchar(24),
    who          varchar(60) not null,
    made_at      timestamp(6) with time zone not null
);

create index trace_chunk_trace on trace_chunk (trace_id, seq);

create trigger trace_only_added before update, delete on trace
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger trace_chunk_only_added before update, delete on trace_chunk
    for each row call "lab.sassafras.app.record.OnlyAdded";
