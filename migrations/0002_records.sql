create table patient (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  given_name text not null,
  family_name text not null,
  born_on date not null,
  sizing_group text not null check (sizing_group in ('men', 'women', 'child')),
  height_mm integer,
  occupation text not null default '',
  school text,
  created_at timestamptz not null default now(),
  primary key (clinic_id, id)
);
create index patient_by_name on patient (clinic_id, family_name, given_name);

create table visit (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  patient_id uuid not null,
  started_by text not null,
  started_at timestamptz not null default now(),
  closed_at timestamptz,
  closed_because text,
  primary key (clinic_id, id),
  foreign key (clinic_id, patient_id) references patient
);
create index visit_by_patient on visit (clinic_id, patient_id, started_at desc);

-- One row a step; the revision is the optimistic lock of two people on one visit.
create table visit_step (
  clinic_id uuid not null references clinic,
  visit_id uuid not null,
  step text not null,
  state text not null check (state in ('in-progress', 'done', 'skipped')),
  revision integer not null,
  content jsonb not null,
  saved_by text not null,
  saved_at timestamptz not null default now(),
  primary key (clinic_id, visit_id, step),
  foreign key (clinic_id, visit_id) references visit
);

create table visit_presence (
  clinic_id uuid not null references clinic,
  visit_id uuid not null,
  user_id text not null,
  step text not null,
  seen_at timestamptz not null default now(),
  primary key (clinic_id, visit_id, user_id),
  foreign key (clinic_id, visit_id) references visit
);

create table shoe_model (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  maker text not null,
  name text not null,
  version text not null,
  features jsonb not null,
  sizing jsonb not null,
  in_stock boolean not null default true,
  primary key (clinic_id, id),
  unique (clinic_id, maker, name, version)
);

-- Appended, never changed: the picture, the choices and the result, with the version of the knowledge.
create table specification (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  patient_id uuid not null,
  visit_id uuid not null,
  picture jsonb not null,
  choices jsonb not null,
  result jsonb not null,
  issued_by text not null,
  issued_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, patient_id) references patient,
  foreign key (clinic_id, visit_id) references visit
);

create table pair (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  patient_id uuid not null,
  model_id uuid not null,
  size_left text not null,
  size_right text not null,
  started_on date not null,
  ended_on date,
  surface text check (surface in ('hard', 'mixed', 'soft')),
  expected_weekly_km double precision,
  body_mass_kg double precision,
  racing boolean not null default false,
  primary key (clinic_id, id),
  foreign key (clinic_id, patient_id) references patient,
  foreign key (clinic_id, model_id) references shoe_model
);
create index pair_by_patient on pair (clinic_id, patient_id, started_on desc);

create table hand_over (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  patient_id uuid not null,
  visit_id uuid not null,
  specification_id uuid not null,
  pair_id uuid not null,
  sheet jsonb not null,
  handed_over_by text not null,
  handed_over_at timestamptz not null default now(),
  review_on date not null,
  primary key (clinic_id, id),
  unique (clinic_id, visit_id),
  foreign key (clinic_id, patient_id) references patient,
  foreign key (clinic_id, visit_id) references visit,
  foreign key (clinic_id, specification_id) references specification,
  foreign key (clinic_id, pair_id) references pair
);

create table pair_log (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  pair_id uuid not null,
  logged_on date not null,
  distance_km double precision,
  comfort integer check (comfort between 0 and 100),
  note text not null default '',
  logged_by text not null,
  logged_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, pair_id) references pair
);
create index pair_log_by_pair on pair_log (clinic_id, pair_id, logged_on);

create table access_token (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  user_id text not null,
  name text not null,
  hash text not null unique,
  created_at timestamptz not null default now(),
  last_used_at timestamptz,
  expires_at timestamptz not null,
  primary key (clinic_id, id)
);

create table audit_entry (
  clinic_id uuid not null references clinic,
  id bigint generated always as identity,
  at timestamptz not null default now(),
  user_id text not null,
  patient_id uuid,
  action text not null check (action in ('read', 'write')),
  what text not null,
  primary key (clinic_id, id)
);
create index audit_by_patient on audit_entry (clinic_id, patient_id, at desc);

select build_wall(t) from unnest(array['patient', 'visit', 'visit_step', 'visit_presence', 'shoe_model', 'specification',
  'pair', 'hand_over', 'pair_log', 'access_token', 'audit_entry']::regclass[]) t;

grant select, insert, update on patient, visit, visit_step, visit_presence, pair to sovet_app;
grant select, insert, update, delete on access_token, shoe_model to sovet_app;
grant select, insert on specification, hand_over, pair_log, audit_entry to sovet_app;

-- A token is looked up before the clinic is known.
grant select on access_token to sovet_auth;
grant update (last_used_at) on access_token to sovet_auth;
create policy sign_in on access_token to sovet_auth using (true) with check (true);

-- What was issued, and who looked, stays as it was written, even for the owner.
create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception '% is append-only', tg_table_name;
end $$;
create trigger append_only before update or delete on specification for each row execute function refuse_change();
create trigger append_only before update or delete on hand_over for each row execute function refuse_change();
create trigger append_only before update or delete on audit_entry for each row execute function refuse_change();
