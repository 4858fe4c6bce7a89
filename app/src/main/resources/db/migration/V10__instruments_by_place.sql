-- Which instrument is in hand where, from when on: a place is the key of a group of slots, a channel of readings on a clock, or
-- empty for all places. The last row that speaks of a place counts there. What an entry was begun with stays where it is, and
-- holds at all places.
create table instrument_in_hand (
    id            uuid primary key,
    seq           bigint generated always as identity,
    entry_id      uuid        not null references entry,
    place         varchar(40) not null,
    kind          varchar(40) not null,
    instrument_id uuid        not null references instrument,
    who           varchar(60) not null,
    made_at       timestamp(6) with time zone not null
);

create index instrument_in_hand_entry on instrument_in_hand (entry_id, seq);

create trigger instrument_in_hand_only_added before update, delete on instrument_in_hand
    for each row call "lab.sassafras.app.record.OnlyAdded";

-- Kinds of instrument are data, and an experiment may bring its own.
alter table instrument alter column kind varchar(40);
alter table entry_instrument alter column kind varchar(40);

-- A channel of readings says where they came from, such as a file, and in which unit they are.
alter table trace add column source varchar(80) default '' not null;
alter table trace add column unit varchar(20) default '°C' not null;
