-- An evening gone through at simulated benches before anybody comes: by which plan and seed, how fast, and how long each hand takes.
create table kept_rehearsal (
    id        uuid primary key,
    seq       bigint generated always as identity,
    period_id uuid             not null unique references period,
    plan_id   uuid             not null references plan,
    seed      bigint           not null,
    speed     double precision not null,
    document  varchar(400000)  not null,
    who_id    uuid             not null references person,
    made_at   timestamp(6) with time zone not null
);

create trigger kept_rehearsal_only_added before update, delete on kept_rehearsal
    for each row call "lab.sassafras.app.record.OnlyAdded";

-- Amounts and the substance a plan wishes for at a simulated bench; without a plan it is played as its scene has it.
alter table simulated_run add column wished varchar(4000) default '' not null;
alter table simulated_run add column taken varchar(80) default '' not null;
