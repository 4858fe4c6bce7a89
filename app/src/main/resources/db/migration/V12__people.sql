-- Whoever may come in. A name stands in one place, and the names somebody had before stay.
create table person (
    id        uuid primary key,
    kind      varchar(12) not null,
    made_at   timestamp(6) with time zone not null
);

create table person_name (
    id        uuid primary key,
    seq       bigint generated always as identity,
    person_id uuid        not null references person,
    name      varchar(60) not null,
    since     timestamp(6) with time zone not null
);

create index person_name_person on person_name (person_id, seq);
create trigger person_name_only_added before update, delete on person_name
    for each row call "lab.sassafras.app.record.OnlyAdded";

-- What an instructor signs in with, and to which periods that is bound; to all where none is named.
create table instructor (
    person_id uuid primary key references person,
    sign_name varchar(60) not null unique,
    password  varchar(80) not null,
    locked    boolean default false not null
);

create table instructor_period (
    person_id uuid not null references instructor,
    period_id uuid not null references period,
    primary key (person_id, period_id)
);

-- A link by which one entry is read; of its secret only the hash is kept.
create table reader_link (
    id         uuid primary key,
    secret     varchar(64) not null unique,
    entry_id   uuid        not null references entry,
    made_at    timestamp(6) with time zone not null,
    revoked_at timestamp(6) with time zone
);

create index reader_link_entry on reader_link (entry_id);

-- A browser that came in. Of its token only the hash is kept.
create table sign_in (
    id        uuid primary key,
    token     varchar(64) not null unique,
    role      varchar(12) not null,
    person_id uuid references person,
    bench_id  uuid references bench,
    link_id   uuid references reader_link,
    device    varchar(80) not null,
    begun_at  timestamp(6) with time zone not null,
    seen_at   timestamp(6) with time zone not null,
    ended_at  timestamp(6) with time zone
);

create index sign_in_bench on sign_in (bench_id);
create index sign_in_person on sign_in (person_id);

-- What a bench joins by; another one in its place lets nobody in by the old one.
create table period_code (
    period_id uuid primary key references period,
    code      varchar(12) not null unique,
    made_at   timestamp(6) with time zone not null
);

-- Where a period is in its life, whether its benches see each other's entries, and whether it is withheld from them what
-- a result should be; what is revealed is a decision.
alter table period add column state varchar(10) default 'OPEN' not null;
alter table period add column shared boolean default false not null;
alter table period add column withholds boolean default false not null;

-- What benches of a period may begin; anything where nothing is named.
create table period_offer (
    period_id  uuid        not null references period,
    experiment varchar(60) not null,
    primary key (period_id, experiment)
);
