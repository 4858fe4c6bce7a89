-- A value is struck out once. Books in which two devices struck the same value keep both rows; the first of them counts.
create table strike (
    observation    uuid primary key references observation,
    by_observation uuid not null references observation
);

insert into strike (observation, by_observation)
    select supersedes, id
    from (select supersedes, id, row_number() over (partition by supersedes order by seq) as nth
          from observation where supersedes is not null)
    where nth = 1;

-- What came with a file: the entry, vessel, instrument or constant it made, by whom and when.
create table brought_in (
    subject   uuid primary key,
    what      varchar(20)  not null,
    file_name varchar(200) not null,
    digest    varchar(64)  not null,
    who       varchar(60)  not null,
    made_at   timestamp(6) with time zone not null
);

create index brought_in_digest on brought_in (digest);

-- A number as it was first shown, with the method that gave it. State says from which readings and decisions.
create table shown (
    entry_id    uuid             not null references entry,
    state       varchar(64)      not null,
    method      int              not null,
    result      double precision not null,
    uncertainty double precision not null,
    unit        varchar(20)      not null,
    shown_at    timestamp(6) with time zone not null,
    primary key (entry_id, state, method)
);

-- Orders in time are by sequence; a clock can be set back.
create sequence entry_seq;
alter table entry add column seq bigint;
merge into entry using (select id as numbered, row_number() over (order by created_at, id) as nth from entry)
    on id = numbered when matched then update set seq = nth;
create sequence calibration_seq;
alter table calibration add column seq bigint;
merge into calibration using (select id as numbered, row_number() over (order by adopted_at, id) as nth from calibration)
    on id = numbered when matched then update set seq = nth;
create sequence period_seq;
alter table period add column seq bigint;
merge into period using (select id as numbered, row_number() over (order by created_at, id) as nth from period)
    on id = numbered when matched then update set seq = nth;

alter sequence entry_seq restart with (select coalesce(max(seq), 0) + 1 from entry);
alter sequence calibration_seq restart with (select coalesce(max(seq), 0) + 1 from calibration);
alter sequence period_seq restart with (select coalesce(max(seq), 0) + 1 from period);
alter table entry alter column seq set default next value for entry_seq;
alter table calibration alter column seq set default next value for calibration_seq;
alter table period alter column seq set default next value for period_seq;

create trigger strike_only_added before update, delete on strike
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger brought_in_only_added before update, delete on brought_in
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger shown_only_added before update, delete on shown
    for each row call "lab.sassafras.app.record.OnlyAdded";
