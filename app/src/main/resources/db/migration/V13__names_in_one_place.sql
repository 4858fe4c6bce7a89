-- A name stands in one place, person_name. Rows say by an identity who they are of; whoever is of a period is of no other.
-- Every name that a period's rows were signed with becomes somebody of it, its benches first.
alter table person add column period_id uuid references period;
alter table bench add column called varchar(64);

create local temporary table signed (period_id uuid, name varchar(60));

insert into signed
    select bench.period_id, observation.who from observation
        join entry on entry.id = observation.entry_id join bench on bench.id = entry.bench_id
    union select bench.period_id, observation.brought_by from observation
        join entry on entry.id = observation.entry_id join bench on bench.id = entry.bench_id
        where observation.brought_by is not null
    union select coalesce(bench.period_id, about.id), decision.who from decision
        left join period about on cast(about.id as varchar) = substring(decision.subject, 1, 36)
        left join entry on entry.id = decision.entry_id left join bench on bench.id = entry.bench_id
    union select bench.period_id, decision.brought_by from decision
        join entry on entry.id = decision.entry_id join bench on bench.id = entry.bench_id
        where decision.brought_by is not null
    union select bench.period_id, opened.who from opened
        join entry on entry.id = opened.entry_id join bench on bench.id = entry.bench_id
    union select bench.period_id, bench_wait.who from bench_wait
        join entry on entry.id = bench_wait.entry_id join bench on bench.id = entry.bench_id
    union select bench.period_id, instrument_in_hand.who from instrument_in_hand
        join entry on entry.id = instrument_in_hand.entry_id join bench on bench.id = entry.bench_id
    union select coalesce(bench.period_id, about.id), brought_in.who from brought_in
        left join period about on about.id = brought_in.subject
        left join entry on entry.id = brought_in.subject left join bench on bench.id = entry.bench_id
    union select bench.period_id, trace_chunk.who from trace_chunk
        join trace on trace.id = trace_chunk.trace_id join bench on bench.id = trace.bench_id
        where not exists (select 1 from bench signer where cast(signer.id as varchar) = trace_chunk.who)
    union select bench.period_id, trace_chunk.brought_by from trace_chunk
        join trace on trace.id = trace_chunk.trace_id join bench on bench.id = trace.bench_id
        where trace_chunk.brought_by is not null
    union select period_id, who from class_pace
    union select bench.period_id, calibration.who from calibration
        left join entry on entry.id = calibration.entry_id left join bench on bench.id = entry.bench_id
    union select cast(null as uuid), who from own_substance;

create local temporary table somebody (period_id uuid, name varchar(60), person_id uuid);

insert into somebody select period_id, name, id from bench;
insert into somebody
    select signed.period_id, signed.name, min(instructor.person_id) from signed
        join person_name on person_name.name = signed.name join instructor on instructor.person_id = person_name.person_id
        where not exists (select 1 from somebody known
            where known.name = signed.name and known.period_id is not distinct from signed.period_id)
        group by signed.period_id, signed.name;
insert into somebody
    select period_id, name, random_uuid() from signed
        where not exists (select 1 from somebody known
            where known.name = signed.name and known.period_id is not distinct from signed.period_id);

insert into person (id, kind, made_at, period_id) select id, 'BENCH', created_at, period_id from bench;
insert into person (id, kind, made_at, period_id)
    select person_id, 'NAMED', current_timestamp, period_id from somebody
        where not exists (select 1 from person where person.id = somebody.person_id);
-- the first name somebody has is theirs since ever
insert into person_name (id, person_id, name, since)
    select random_uuid(), person_id, name, timestamp with time zone '1970-01-01 00:00:00+00' from somebody
        where not exists (select 1 from person_name known where known.person_id = somebody.person_id);

create index somebody_called on somebody (name);

drop trigger observation_only_added;
drop trigger decision_only_added;
drop trigger brought_in_only_added;
drop trigger own_substance_only_added;
drop trigger trace_only_added;
drop trigger trace_chunk_only_added;
drop trigger class_pace_only_added;
drop trigger bench_wait_only_added;
drop trigger instrument_in_hand_only_added;
drop trigger person_name_only_added;

alter table observation add column who_id uuid references person;
alter table observation add column brought_by_id uuid references person;
update observation set
    who_id = (select person_id from somebody where name = observation.who and period_id = (select bench.period_id
        from entry join bench on bench.id = entry.bench_id where entry.id = observation.entry_id)),
    brought_by_id = (select person_id from somebody where name = observation.brought_by and period_id = (select bench.period_id
        from entry join bench on bench.id = entry.bench_id where entry.id = observation.entry_id));

alter table decision add column who_id uuid references person;
alter table decision add column brought_by_id uuid references person;
update decision set
    who_id = (select person_id from somebody where name = decision.who and period_id is not distinct from coalesce(
        (select bench.period_id from entry join bench on bench.id = entry.bench_id where entry.id = decision.entry_id),
        (select about.id from period about where cast(about.id as varchar) = substring(decision.subject, 1, 36)))),
    brought_by_id = (select person_id from somebody where name = decision.brought_by and period_id =
        (select bench.period_id from entry join bench on bench.id = entry.bench_id where entry.id = decision.entry_id));

alter table opened add column who_id uuid references person;
update opened set who_id = (select person_id from somebody where name = opened.who and period_id = (select bench.period_id
    from entry join bench on bench.id = entry.bench_id where entry.id = opened.entry_id));

alter table bench_wait add column who_id uuid references person;
update bench_wait set who_id = (select person_id from somebody where name = bench_wait.who and period_id =
    (select bench.period_id from entry join bench on bench.id = entry.bench_id where entry.id = bench_wait.entry_id));

alter table instrument_in_hand add column who_id uuid references person;
update instrument_in_hand set who_id = (select person_id from somebody where name = instrument_in_hand.who and period_id =
    (select bench.period_id from entry join bench on bench.id = entry.bench_id where entry.id = instrument_in_hand.entry_id));

alter table brought_in add column who_id uuid references person;
update brought_in set who_id = (select person_id from somebody where name = brought_in.who and period_id is not distinct from
    coalesce((select bench.period_id from entry join bench on bench.id = entry.bench_id where entry.id = brought_in.subject),
        (select about.id from period about where about.id = brought_in.subject)));

alter table trace_chunk add column who_id uuid references person;
alter table trace_chunk add column brought_by_id uuid references person;
update trace_chunk set
    who_id = coalesce((select id from bench where cast(id as varchar) = trace_chunk.who),
        (select person_id from somebody where name = trace_chunk.who and period_id = (select bench.period_id
            from trace join bench on bench.id = trace.bench_id where trace.id = trace_chunk.trace_id))),
    brought_by_id = (select person_id from somebody where name = trace_chunk.brought_by and period_id = (select bench.period_id
        from trace join bench on bench.id = trace.bench_id where trace.id = trace_chunk.trace_id));

alter table class_pace add column who_id uuid references person;
update class_pace set who_id = (select person_id from somebody where name = class_pace.who and period_id = class_pace.period_id);

alter table calibration add column who_id uuid references person;
update calibration set who_id = (select person_id from somebody where name = calibration.who and period_id is not distinct from
    (select bench.period_id from entry join bench on bench.id = entry.bench_id where entry.id = calibration.entry_id));

alter table own_substance add column who_id uuid references person;
update own_substance set who_id = (select person_id from somebody where name = own_substance.who and period_id is null);

update bench set called = lower(rawtohex(hash('SHA-256', stringtoutf8(name))));

alter table observation alter column who_id set not null;
alter table decision alter column who_id set not null;
alter table opened alter column who_id set not null;
alter table bench_wait alter column who_id set not null;
alter table instrument_in_hand alter column who_id set not null;
alter table brought_in alter column who_id set not null;
alter table trace_chunk alter column who_id set not null;
alter table class_pace alter column who_id set not null;
alter table calibration alter column who_id set not null;
alter table own_substance alter column who_id set not null;
alter table bench alter column called set not null;

alter table observation drop column who;
alter table observation drop column brought_by;
alter table decision drop column who;
alter table decision drop column brought_by;
alter table opened drop column who;
alter table bench_wait drop column who;
alter table instrument_in_hand drop column who;
alter table brought_in drop column who;
alter table trace drop column who;
alter table trace_chunk drop column who;
alter table trace_chunk drop column brought_by;
alter table class_pace drop column who;
alter table calibration drop column who;
alter table own_substance drop column who;
-- that no two benches of a period have one name is told from its hash, which is no name
alter table bench add constraint bench_called unique (period_id, called);
execute immediate 'alter table bench drop constraint "' || (select constraint_name from information_schema.table_constraints
    where table_name = 'BENCH' and constraint_type = 'UNIQUE' and constraint_name <> 'BENCH_CALLED') || '"';
alter table bench drop column name;

create trigger observation_only_added before update, delete on observation
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger decision_only_added before update, delete on decision
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger brought_in_only_added before update, delete on brought_in
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger own_substance_only_added before update, delete on own_substance
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger trace_only_added before update, delete on trace
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger trace_chunk_only_added before update, delete on trace_chunk
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger class_pace_only_added before update, delete on class_pace
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger bench_wait_only_added before update, delete on bench_wait
    for each row call "lab.sassafras.app.record.OnlyAdded";
create trigger instrument_in_hand_only_added before update, delete on instrument_in_hand
    for each row call "lab.sassafras.app.record.OnlyAdded";
-- of somebody of a period a name may be replaced by a number, and in no other way
alter table person_name add column erased boolean default false not null;
create trigger person_name_only_erased before update, delete on person_name
    for each row call "lab.sassafras.app.record.OnlyErased";
create index person_period on person (period_id);

drop table signed;
drop table somebody;
