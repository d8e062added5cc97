-- What became of a pair: outcomes by day, when they are due next, and those that somebody has to look at.

create table outcome (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  pair_id uuid not null,
  taken_on date not null,
  measures jsonb not null,
  -- Open skin or a fall: stands in Today until the person is seen.
  alarm boolean not null default false,
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, id),
  -- One set a day: a second of the same day puts the first right.
  unique (clinic_id, pair_id, taken_on),
  foreign key (clinic_id, pair_id) references pair
);
create index outcome_by_alarm on outcome (clinic_id, taken_on) where alarm;
select build_wall('outcome');
select open_to_backup('outcome');
grant select, insert, update on outcome to sovet_app;

alter table pair add column outcomes_due_on date;
create index pair_by_outcomes on pair (clinic_id, outcomes_due_on) where ended_on is null and outcomes_due_on is not null;

create or replace function forget_pair() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from inspection where clinic_id = new.clinic_id and pair_id = new.id;
  delete from photograph where clinic_id = new.clinic_id and pair_id = new.id;
  delete from outing_answer where clinic_id = new.clinic_id and pair_id = new.id;
  delete from outcome where clinic_id = new.clinic_id and pair_id = new.id;
  update pair set conditions = '{}', forecast = null, forecast_on = null, start_next_on = null, window_from = null,
    window_middle = null, window_to = null, break_in = null, break_in_state = null, return_by = null, outcomes_due_on = null
    where clinic_id = new.clinic_id and id = new.id;
  return null;
end $$;
