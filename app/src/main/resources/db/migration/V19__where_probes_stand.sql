-- Where a probe stands and on which instrument of the shelf it reads, from a moment on; the newest row of a probe counts.
create table probe_place (
    id            uuid primary key,
    seq           bigint generated always as identity,
    token_id      uuid        not null references probe_token,
    probe         varchar(60) not null,
    place         varchar(20) not null,
    instrument_id uuid references instrument,
    who_id        uuid        not null references person,
    made_at       timestamp(6) with time zone not null
);

create index probe_place_token on probe_place (token_id, seq);
create trigger probe_place_only_added before update, delete on probe_place
    for each row call "lab.sassafras.app.record.OnlyAdded";
