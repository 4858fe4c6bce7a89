-- Bottles and pieces of gear on the shelf, each as it was counted; of one name the newest row counts, and none left is none.
create table supply (
    id          uuid primary key,
    seq         bigint generated always as identity,
    name        varchar(60)      not null,
    substance   varchar(60)      not null,
    amount      double precision not null,
    unit        varchar(10)      not null,
    strength    double precision,
    power       double precision,
    who_id      uuid             not null references person,
    made_at     timestamp(6) with time zone not null
);

create trigger supply_only_added before update, delete on supply
    for each row call "lab.sassafras.app.record.OnlyAdded";

-- Up to which strength acids and bases are planned here (mol/L), as an instructor allows it. The newest counts.
create table allowed_strength (
    id          uuid primary key,
    seq         bigint generated always as identity,
    strongest   double precision not null,
    who_id      uuid             not null references person,
    made_at     timestamp(6) with time zone not null
);

create trigger allowed_strength_only_added before update, delete on allowed_strength
    for each row call "lab.sassafras.app.record.OnlyAdded";
