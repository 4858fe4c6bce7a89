-- A plan that leads one bench only, where a period is led by several of the same experiment.
alter table laid_out_plan add column bench_id uuid references bench;
