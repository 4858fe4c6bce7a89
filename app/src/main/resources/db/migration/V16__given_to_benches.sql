-- Vessels and instruments that benches of a period may take in hand, any where none of a kind is named; and what an instructor
-- gave to a bench: its vessel, and what its sample is called.
create table period_thing (
    period_id uuid not null references period,
    thing_id  uuid not null,
    primary key (period_id, thing_id)
);

alter table bench add column vessel_id uuid references vessel;
alter table bench add column sample varchar(60) default '' not null;

-- Who works at a bench, by names or initials they gave themselves.
create table bench_member (
    id        uuid primary key,
    bench_id  uuid not null references bench,
    person_id uuid not null references person,
    place     int  not null,
    unique (bench_id, person_id)
);
