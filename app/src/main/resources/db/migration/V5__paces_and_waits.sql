-- What the hand goes by. A pace is how long a class waits at a step, or how far it lets a temperature go; the last one given
-- counts. A wait is such a time begun at a bench: begun, ended, or begun anew because a transfer was broken off. Both are only
-- ever added, and no result hangs on them.
create table class_pace (
    id         uuid primary key,
    seq        bigint generated always as identity,
    period_id  uuid             not null references period,
    experiment varchar(60)      not null,
    pace       varchar(120)     not null,
    amount     double precision not null,
    who        varchar(60)      not null,
    made_at    timestamp(6) with time zone not null
);

create index class_pace_experiment on class_pace (experiment, seq);

create table bench_wait (
    id       uuid primary key,
    seq      bigint generated always as identity,
    entry_id uuid             not null references entry,
    trial    int              not null,
    pace     varchar(120)     not null,
    seconds  double precision not null,
    outcome  varchar(20)      not null,
    reason   varchar(200)     not null,
    who      varchar(60)      not null,
    made_at  timestamp(6) with time zone not null
);

create index bench_wait_entry on bench_wait (entry_id, seq);

create trigger class_pace_only_added before update, delete on class_pace
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger bench_wait_only_added before update, delete on bench_wait
    for each row call "lab.sassafras.app.record.OnlyAdded";
