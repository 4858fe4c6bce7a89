-- A value of one's own keeps the figures it was given with, and says where its ± was not given; reactions are longer.
alter table own_substance add column written varchar(24);
alter table own_substance add column width_given boolean default true not null;
alter table own_substance alter column formula varchar(200);

-- Decisions over the shelf and over periods are found by what they are about.
create index decision_kind on decision (kind, seq);
