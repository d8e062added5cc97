-- The prosthetic side: how it is held and the socks in the drawer, the socks of each day, makers' colours, shoes checked on the table.

create table limb (
  clinic_id uuid not null references clinic,
  patient_id uuid not null,
  content jsonb not null,
  revision integer not null default 1,
  changed_by text not null,
  changed_at timestamptz not null default now(),
  primary key (clinic_id, patient_id),
  foreign key (clinic_id, patient_id) references patient
);
select build_wall('limb');
select open_to_backup('limb');
grant select, insert, update on limb to sovet_app;

-- One look at the socks; a second one of the same minute corrects the first. The moment is local, as the wearer lived it.
create table sock_entry (
  clinic_id uuid not null references clinic,
  patient_id uuid not null,
  at text not null check (at ~ '^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$'),
  ply smallint not null check (ply between 0 and 40),
  feel text check (feel in ('right', 'loose', 'pistoning', 'tight', 'pain')),
  tags text[] not null default '{}',
  -- Null: said from home.
  made_by text,
  made_at timestamptz not null default now(),
  primary key (clinic_id, patient_id, at),
  foreign key (clinic_id, patient_id) references patient
);
select build_wall('sock_entry');
select open_to_backup('sock_entry');
grant select, insert, update (ply, feel, tags, made_by, made_at) on sock_entry to sovet_app;

create table sock_chart (
  clinic_id uuid not null references clinic,
  maker text not null check (length(maker) between 1 and 60),
  colours jsonb not null,
  primary key (clinic_id, maker)
);
select build_wall('sock_chart');
select open_to_backup('sock_chart');
grant select, insert, update on sock_chart to sovet_app;

-- A shoe with the prosthesis in it on the table: a version of a model is checked for itself.
create table table_check (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  patient_id uuid not null,
  model_id uuid not null,
  checked_on date not null,
  decision text not null check (decision in ('approved', 'prosthetist', 'refused')),
  content jsonb not null,
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, patient_id) references patient,
  foreign key (clinic_id, model_id) references shoe_model
);
create index table_check_by_patient on table_check (clinic_id, patient_id, checked_on);
select build_wall('table_check');
select open_to_backup('table_check');
grant select, insert on table_check to sovet_app;

-- What was said of socks from home before begins the log.
insert into sock_entry (clinic_id, patient_id, at, ply)
  select clinic_id, patient_id, content->>'at', (content->'content'->>'ply')::smallint
  from home_report where content->'content'->>'kind' = 'socks'
on conflict do nothing;

-- The drawer belongs to the person and no longer to a visit: the latest that a visit holds is the one.
insert into limb (clinic_id, patient_id, content, changed_by)
  select distinct on (visit.clinic_id, visit.patient_id) visit.clinic_id, visit.patient_id,
    jsonb_build_object('drawer', visit_step.content->'inventory', 'therapyOn', '[]'::jsonb), coalesce(visit_step.saved_by, '')
  from visit_step join visit on visit.clinic_id = visit_step.clinic_id and visit.id = visit_step.visit_id
  where visit_step.step = 'prosthesis' and visit_step.content ? 'inventory'
  order by visit.clinic_id, visit.patient_id, visit.started_at desc;
update visit_step set content = content - 'inventory' - 'needsHole' - 'wantedPly'
  where step = 'prosthesis' and content ?| array['inventory', 'needsHole', 'wantedPly'];

create function forget_limb() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from limb where clinic_id = new.clinic_id and patient_id = new.id;
  delete from sock_entry where clinic_id = new.clinic_id and patient_id = new.id;
  delete from table_check where clinic_id = new.clinic_id and patient_id = new.id;
  return null;
end $$;
create trigger forget_limb after update of erased on patient for each row when (new.erased and not old.erased)
  execute function forget_limb();
