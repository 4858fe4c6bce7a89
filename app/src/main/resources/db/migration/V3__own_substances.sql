-- Substances and values a class adds to the shelf: kept as they were given, struck out by a decision, never edited.
create table own_substance (
    id          uuid primary key,
    seq         bigint generated always as identity,
    kind        varchar(20)      not null,
    name        varchar(60)      not null,
    formula     varchar(80)      not null,
    amount      double precision not null,
    uncertainty double precision not null,
    density     double precision not null,
    colour      varchar(20)      not null,
    source      varchar(200)     not null,
    who         varchar(60)      not null,
    made_at     timestamp(6) with time zone not null
);

create trigger own_substance_only_added before update, delete on own_substance
    for each row call "lab.sassafras.app.record.OnlyAdded";
