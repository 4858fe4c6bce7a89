-- What a program reads comes faster than once a second.
alter table trace alter column read_every set data type double precision;
