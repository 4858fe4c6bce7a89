-- What results should be, as an instructor gave it: for a sample by its name wherever it is (the key of unknowns), or for an
-- experiment in a period. Never edited; struck out by a decision.
create table own_reference (
    id          uuid primary key,
    seq         bigint generated always as identity,
    period_id   uuid references period,
    experiment  varchar(60)      not null,
    sample      varchar(60)      not null,
    substance   varchar(60)      not null,
    amount      double precision not null,
    uncertainty double precision not null,
    unit        varchar(20)      not null,
    source      varchar(200)     not null,
    who_id      uuid             not null references person,
    made_at     timestamp(6) with time zone not null
);

create trigger own_reference_only_added before update, delete on own_reference
    for each row call "lab.sassafras.app.record.OnlyAdded";
