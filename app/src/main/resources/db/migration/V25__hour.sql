-- When which bench does what: the hour of a period as it was kept, as its page's own fields. The newest counts.
create table kept_hour (
    id        uuid primary key,
    seq       bigint generated always as identity,
    period_id uuid           not null references period,
    document  varchar(30000) not null,
    who_id    uuid           not null references person,
    made_at   timestamp(6) with time zone not null
);

create index kept_hour_period on kept_hour (period_id, seq);

create trigger kept_hour_only_added before update, delete on kept_hour
    for each row call "lab.sassafras.app.record.OnlyAdded";
