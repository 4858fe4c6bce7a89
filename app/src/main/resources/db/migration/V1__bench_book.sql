-- The bench book. Observations and decisions are only ever added.

create table period (
    id            uuid primary key,
    title         varchar(80)  not null,
    held_on       date         not null,
    zone          varchar(64)  not null,
    decimal_mark  varchar(8)   not null,
    created_at    timestamp(6) with time zone not null
);

create table period_school (
    period_id uuid        not null references period,
    question  varchar(40) not null,
    school    varchar(40) not null,
    primary key (period_id, question)
);

create table bench (
    id         uuid primary key,
    period_id  uuid         not null references period,
    name       varchar(60)  not null,
    created_at timestamp(6) with time zone not null,
    unique (period_id, name)
);

create table instrument (
    id                   uuid primary key,
    name                 varchar(60) not null,
    kind                 varchar(20) not null,
    resolution           double precision not null,
    low                  double precision not null,
    high                 double precision not null,
    offset_uncertainty   double precision not null,
    reading_uncertainty  double precision not null,
    created_at           timestamp(6) with time zone not null
);

create table vessel (
    id         uuid primary key,
    name       varchar(60) not null,
    kind       varchar(30) not null,
    created_at timestamp(6) with time zone not null
);

create table entry (
    id             uuid primary key,
    bench_id       uuid        not null references bench,
    experiment     varchar(60) not null,
    method         int         not null,
    shelf_version  int         not null,
    vessel_id      uuid references vessel,
    calibration_id uuid,
    created_at     timestamp(6) with time zone not null
);

create table entry_instrument (
    entry_id      uuid        not null references entry,
    kind          varchar(20) not null,
    instrument_id uuid        not null references instrument,
    primary key (entry_id, kind)
);

create table calibration (
    id                 uuid primary key,
    vessel_id          uuid not null references vessel,
    entry_id           uuid references entry,
    constant           double precision not null,
    own_uncertainty    double precision not null,
    degrees_of_freedom double precision not null,
    fill               double precision not null,
    described          varchar(200) not null,
    who                varchar(60)  not null,
    reason             varchar(400) not null,
    adopted_at         timestamp(6) with time zone not null
);

alter table entry add foreign key (calibration_id) references calibration;

create table calibration_share (
    calibration_id     uuid not null references calibration,
    source_key         varchar(120) not null,
    label              varchar(160) not null,
    uncertainty        double precision not null,
    degrees_of_freedom double precision not null,
    sensitivity        double precision not null
);

-- A trial, or a further part of a repeated group, opened at the bench. Number 1 of everything is there from the start.
create table opened (
    id       uuid primary key,
    entry_id uuid        not null references entry,
    what     varchar(40) not null,
    number   int         not null,
    who      varchar(60) not null,
    made_at  timestamp(6) with time zone not null,
    unique (entry_id, what, number)
);

create table observation (
    id            uuid primary key,
    seq           bigint generated always as identity,
    entry_id      uuid         not null references entry,
    address       varchar(100) not null,
    role          varchar(10)  not null,
    text          varchar(200) not null,
    unit          varchar(20),
    instrument_id uuid references instrument,
    uncertainty   varchar(24),
    who           varchar(60)  not null,
    made_at       timestamp(6) with time zone not null,
    supersedes    uuid references observation,
    reason        varchar(400)
);

create index observation_entry on observation (entry_id, seq);

create table decision (
    id       uuid primary key,
    seq      bigint generated always as identity,
    entry_id uuid references entry,
    kind     varchar(20)  not null,
    subject  varchar(80)  not null,
    outcome  varchar(80)  not null,
    reason   varchar(400) not null,
    who      varchar(60)  not null,
    made_at  timestamp(6) with time zone not null
);

create index decision_entry on decision (entry_id, seq);

create trigger observation_only_added before update, delete on observation
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger decision_only_added before update, delete on decision
    for each row call "lab.sassafras.app.record.OnlyAdded";
