-- What passes between an instructor and the benches of a period as it goes: a hand raised, a bench held, a note and who saw it.
create table class_event (
    id        uuid primary key,
    seq       bigint generated always as identity,
    period_id uuid         not null references period,
    bench_id  uuid         references bench,
    kind      varchar(20)  not null,
    text      varchar(500) not null,
    of_id     uuid,
    who_id    uuid         not null references person,
    made_at   timestamp(6) with time zone not null
);

create index class_event_period on class_event (period_id, seq);

create trigger class_event_only_added before update, delete on class_event
    for each row call "lab.sassafras.app.record.OnlyAdded";
