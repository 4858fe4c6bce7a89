-- Who came in, who was refused what, and what was given out as a file. Decisions and what came with files stand in their own
-- tables, and the audit reads them there.
create table audit (
    id        uuid primary key,
    seq       bigint generated always as identity,
    kind      varchar(12)  not null,
    who_id    uuid references person,
    period_id uuid references period,
    words     varchar(200) not null,
    made_at   timestamp(6) with time zone not null
);

create index audit_made on audit (made_at);
create trigger audit_only_added before update, delete on audit
    for each row call "lab.sassafras.app.record.OnlyAdded";
