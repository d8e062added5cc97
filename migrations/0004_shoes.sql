-- A model is one version; what is said of it keeps source and day, what counts is worked out from that.
alter table shoe_model
  add column readings jsonb not null default '{}',
  add column stock jsonb not null default '{}',
  add column price double precision check (price >= 0),
  add column status text not null default 'current' check (status in ('current', 'discontinued')),
  add column replaces uuid,
  add column updated_at timestamptz not null default now(),
  add foreign key (clinic_id, replaces) references shoe_model,
  drop column in_stock;
alter table shoe_model drop constraint shoe_model_clinic_id_maker_name_version_key;
create unique index shoe_model_by_name on shoe_model (clinic_id, lower(maker), lower(name), lower(version));
create index shoe_model_by_forerunner on shoe_model (clinic_id, replaces);

-- What changed in the catalogue, when and by whom.
create table catalogue_change (
  clinic_id uuid not null references clinic,
  id bigint generated always as identity,
  model_id uuid,
  kind text not null check (kind in ('import', 'supplier', 'bench')),
  what text not null,
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, model_id) references shoe_model
);
create index catalogue_change_by_model on catalogue_change (clinic_id, model_id, made_at desc);

create table bench_test (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  model_id uuid not null,
  answers jsonb not null,
  done_by text not null,
  done_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, model_id) references shoe_model
);
create index bench_test_by_model on bench_test (clinic_id, model_id, done_at desc);

-- What each try-on taught about the true inside of its model; follows the visit while it is open.
create table fitting (
  clinic_id uuid not null references clinic,
  visit_id uuid not null,
  model_id uuid not null,
  feet jsonb not null,
  fitted_at timestamptz not null default now(),
  primary key (clinic_id, visit_id, model_id),
  foreign key (clinic_id, visit_id) references visit,
  foreign key (clinic_id, model_id) references shoe_model
);
create index fitting_by_model on fitting (clinic_id, model_id);

alter table pair add column modifications jsonb not null default '[]';

-- A pair that was chosen and is not in hand yet. What it takes to start it is kept from the day of choosing.
create table shoe_order (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  patient_id uuid not null,
  visit_id uuid not null,
  specification_id uuid not null,
  model_id uuid not null,
  size_left text not null,
  size_right text not null,
  modifications jsonb not null default '[]',
  try_on jsonb not null,
  start jsonb not null,
  state text not null default 'wanted',
  -- What the box said when it was checked, where that is another version.
  came_version text,
  return_days integer not null check (return_days between 0 and 365),
  expected_on date,
  arrived_on date,
  created_by text not null,
  created_at timestamptz not null default now(),
  primary key (clinic_id, id),
  unique (clinic_id, visit_id),
  foreign key (clinic_id, patient_id) references patient,
  foreign key (clinic_id, visit_id) references visit,
  foreign key (clinic_id, specification_id) references specification,
  foreign key (clinic_id, model_id) references shoe_model
);
create index shoe_order_by_patient on shoe_order (clinic_id, patient_id, created_at desc);

create table order_event (
  clinic_id uuid not null references clinic,
  id bigint generated always as identity,
  order_id uuid not null,
  event text not null,
  note text not null default '',
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, order_id) references shoe_order
);
create index order_event_by_order on order_event (clinic_id, order_id, id);

-- Items of a supplier's feed that were taken over or set aside; each is offered once.
create table supplier_item (
  clinic_id uuid not null references clinic,
  item_id text not null,
  answer text not null check (answer in ('taken', 'ignored')),
  answered_by text not null,
  answered_at timestamptz not null default now(),
  primary key (clinic_id, item_id)
);

select build_wall(t) from unnest(array['catalogue_change', 'bench_test', 'fitting', 'shoe_order', 'order_event',
  'supplier_item']::regclass[]) t;
grant select, insert on catalogue_change, bench_test, order_event, supplier_item to sovet_app;
grant select, insert, update, delete on fitting to sovet_app;
grant select, insert, update on shoe_order to sovet_app;
create trigger append_only before update or delete on catalogue_change for each row execute function refuse_change();
create trigger append_only before update or delete on bench_test for each row execute function refuse_change();
create trigger append_only before update or delete on order_event for each row execute function refuse_change();
create trigger append_only before update or delete on supplier_item for each row execute function refuse_change();
