-- What somebody saw at a bench that no place of the sheet asks for.
create table note (
    id        uuid primary key,
    seq       bigint generated always as identity,
    entry_id  uuid          not null references entry,
    text      varchar(1000) not null,
    who_id    uuid          not null references person,
    made_at   timestamp(6) with time zone not null
);

create index note_entry on note (entry_id, seq);

create trigger note_only_added before update, delete on note
    for each row call "lab.sassafras.app.record.OnlyAdded";
