-- A link to read by is of one entry, or of a period's hand-outs.
alter table reader_link alter column entry_id set null;
alter table reader_link add column period_id uuid references period;
alter table reader_link add constraint reader_link_of_one check ((entry_id is null) <> (period_id is null));
create index reader_link_period on reader_link (period_id);
