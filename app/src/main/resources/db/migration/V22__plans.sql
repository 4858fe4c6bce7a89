-- Plans as they were kept, each a document of the open format; never edited: one that is changed is kept anew, and says of which it is a copy.
create table plan (
    id          uuid primary key,
    seq         bigint generated always as identity,
    name        varchar(80)   not null,
    experiment  varchar(60)   not null,
    document    varchar(20000) not null,
    copy_of     uuid references plan,
    who_id      uuid          not null references person,
    made_at     timestamp(6) with time zone not null
);

create trigger plan_only_added before update, delete on plan
    for each row call "lab.sassafras.app.record.OnlyAdded";

-- What the safety data sheet of a bottle says of a substance, as an instructor set it beside what is remembered. The newest counts.
create table hazard_sheet (
    id          uuid primary key,
    seq         bigint generated always as identity,
    substance   varchar(60)   not null,
    signal      varchar(20)   not null,
    statements  varchar(400)  not null,
    sheet       varchar(200)  not null,
    who_id      uuid          not null references person,
    made_at     timestamp(6) with time zone not null
);

create trigger hazard_sheet_only_added before update, delete on hazard_sheet
    for each row call "lab.sassafras.app.record.OnlyAdded";

-- Which plan a period is led by, for each experiment the newest row; without a plan it is none any more.
create table laid_out_plan (
    id          uuid primary key,
    seq         bigint generated always as identity,
    period_id   uuid          not null references period,
    experiment  varchar(60)   not null,
    plan_id     uuid references plan,
    who_id      uuid          not null references person,
    made_at     timestamp(6) with time zone not null
);

create index laid_out_plan_period on laid_out_plan (period_id, seq);

create trigger laid_out_plan_only_added before update, delete on laid_out_plan
    for each row call "lab.sassafras.app.record.OnlyAdded";
