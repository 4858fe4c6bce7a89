-- A run at the simulated bench: everything that happens there follows from its seed and from when it was touched.
create table simulated_run (
    id        uuid primary key,
    entry_id  uuid             not null unique references entry,
    seed      bigint           not null,
    speed     double precision not null,
    slips     varchar(200)     not null,
    capacity  double precision not null,
    who_id    uuid             not null references person,
    made_at   timestamp(6) with time zone not null
);

create trigger simulated_run_only_added before update, delete on simulated_run
    for each row call "lab.sassafras.app.record.OnlyAdded";

-- What a hand did there: the first of a trial begins it, each of the others is done once, whoever reaches for it.
create table simulated_touch (
    id       uuid primary key,
    seq      bigint generated always as identity,
    run_id   uuid             not null references simulated_run,
    trial    integer          not null,
    place    integer          not null,
    seconds  double precision not null,
    who_id   uuid             not null references person,
    made_at  timestamp(6) with time zone not null,
    unique (run_id, trial, place)
);

create trigger simulated_touch_only_added before update, delete on simulated_touch
    for each row call "lab.sassafras.app.record.OnlyAdded";
