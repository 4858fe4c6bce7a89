-- What is known of an instrument's scale: how far its gain may be off, and the points it was compared at. Records of before
-- have what is usual for their kind. A constant's shared source says how it is spread.
alter table instrument add column gain double precision default 0 not null;
update instrument set gain = 0.002 where kind = 'THERMOMETER';
update instrument set gain = 0.0005 where kind = 'BALANCE';

create table instrument_point (
    instrument_id uuid             not null references instrument,
    reading       double precision not null,
    actual        double precision not null,
    uncertainty   double precision not null
);

create index instrument_point_instrument on instrument_point (instrument_id);

alter table calibration_share add column shape varchar(20) default 'NORMAL' not null;
