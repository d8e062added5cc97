-- What a pair tells: inspections, what pairs teach about how long they last, and the forecast that lists read.

alter table pair
  -- Hills, landing, heat: what else wears it.
  add column conditions jsonb not null default '{}',
  -- As its box says.
  add column batch text,
  -- What the plan of the week gives it, in the unit of its clock; a racing pair that the plan only races.
  add column planned_weekly double precision check (planned_weekly >= 0),
  add column raced_only boolean not null default false,
  -- As it was last worked out; lists sort by its days and never work it out.
  add column forecast jsonb,
  add column forecast_on date,
  add column start_next_on date,
  add column window_from date,
  add column window_middle date,
  add column window_to date;
create index pair_by_start_next on pair (clinic_id, start_next_on) where ended_on is null and start_next_on is not null;
create index pair_by_forecast on pair (clinic_id, forecast_on) where ended_on is null;

create table inspection (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  pair_id uuid not null,
  inspected_on date not null,
  content jsonb not null,
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, pair_id) references pair
);
create index inspection_by_pair on inspection (clinic_id, pair_id, inspected_on);
select build_wall('inspection');
select open_to_backup('inspection');
grant select, insert on inspection to sovet_app;

-- What a clinic's own pairs teach; no person is in it. `stale`: a pair was retired since.
create table clinic_life (
  clinic_id uuid primary key references clinic,
  school text not null,
  content jsonb not null,
  learned_at timestamptz not null default now(),
  stale boolean not null default false
);
select build_wall('clinic_life');
select open_to_backup('clinic_life');
grant select, insert, update on clinic_life to sovet_app;

create table model_life (
  clinic_id uuid not null references clinic,
  model_id uuid not null,
  content jsonb not null,
  primary key (clinic_id, model_id),
  foreign key (clinic_id, model_id) references shoe_model on delete cascade
);
select build_wall('model_life');
select open_to_backup('model_life');
grant select, insert, update, delete on model_life to sovet_app;

-- Outings of a patient's week, and what was settled by hand of which pair goes to which.
create table week_plan (
  clinic_id uuid not null references clinic,
  patient_id uuid not null,
  sessions jsonb not null,
  settled jsonb not null default '{}',
  saved_by text not null,
  saved_at timestamptz not null default now(),
  primary key (clinic_id, patient_id),
  foreign key (clinic_id, patient_id) references patient
);
select build_wall('week_plan');
select open_to_backup('week_plan');
grant select, insert, update on week_plan to sovet_app;
create function forget_week() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from week_plan where clinic_id = new.clinic_id and patient_id = new.id;
  return null;
end $$;
create trigger forget_week after update of erased on patient for each row when (new.erased and not old.erased)
  execute function forget_week();

-- When a clinic brings in the next pair.
alter table clinic add column bring_in text not null default 'third-left'
  check (bring_in in ('used-up', 'third-left', 'at-500-km', 'from-start'));
grant update (bring_in) on clinic to sovet_app;

-- Photographs of a pair, made small and cleaned of what a camera writes into them before they come here.
create table photograph (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  pair_id uuid not null,
  kind text not null check (kind in ('rear', 'sole', 'inner', 'outer', 'other')),
  taken_on date not null,
  width integer not null,
  height integer not null,
  image bytea not null check (length(image) <= 1600000),
  thumbnail bytea not null check (length(thumbnail) <= 64000),
  lines jsonb,
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, pair_id) references pair
);
create index photograph_by_pair on photograph (clinic_id, pair_id, taken_on);
select build_wall('photograph');
select open_to_backup('photograph');
grant select, insert on photograph to sovet_app;

-- What was seen of a pair goes with whoever wore it.
create function forget_pair() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from inspection where clinic_id = new.clinic_id and pair_id = new.id;
  delete from photograph where clinic_id = new.clinic_id and pair_id = new.id;
  update pair set conditions = '{}', forecast = null, forecast_on = null, start_next_on = null, window_from = null,
    window_middle = null, window_to = null where clinic_id = new.clinic_id and id = new.id;
  return null;
end $$;
create trigger forget_pair after update of erased on pair for each row when (new.erased and not old.erased)
  execute function forget_pair();
