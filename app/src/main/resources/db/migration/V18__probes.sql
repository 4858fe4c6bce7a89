-- What a script pushes by: to one bench and nothing else. Only the hash of it is kept.
create table probe_token (
    id         uuid primary key,
    secret     varchar(64) not null unique,
    bench_id   uuid        not null references bench,
    name       varchar(60) not null,
    made_at    timestamp(6) with time zone not null,
    revoked_at timestamp(6) with time zone
);

create index probe_token_bench on probe_token (bench_id);

-- A batch that was pushed, with what became of its rows: sent again it is known, and nothing of it is kept twice.
create table probe_batch (
    id           uuid primary key,
    seq          bigint generated always as identity,
    token_id     uuid          not null references probe_token,
    digest       varchar(64)   not null,
    rows_kept    integer       not null,
    rows_refused integer       not null,
    why          varchar(4000) not null,
    said         varchar(2000) not null,
    made_at      timestamp(6) with time zone not null
);

create index probe_batch_token on probe_batch (token_id);
create trigger probe_batch_only_added before update, delete on probe_batch
    for each row call "lab.sassafras.app.record.OnlyAdded";

-- A stretch of what one probe pushes, kept as a trace: which second of its own clock the trace begins at, and why it began.
create table probe_stretch (
    trace_id     uuid primary key references trace,
    seq          bigint generated always as identity,
    token_id     uuid             not null references probe_token,
    probe        varchar(60)      not null,
    client_start double precision not null,
    why          varchar(200)     not null
);

create index probe_stretch_token on probe_stretch (token_id);
create trigger probe_stretch_only_added before update, delete on probe_stretch
    for each row call "lab.sassafras.app.record.OnlyAdded";
