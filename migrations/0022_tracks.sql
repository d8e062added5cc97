-- Outings that devices recorded, each in the pair that it was in; the same run is kept once.
create table track_outing (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  patient_id uuid not null,
  pair_id uuid not null,
  began_at timestamptz not null,
  ended_at timestamptz not null,
  done_on date not null,
  km double precision not null check (km between 0 and 1000),
  ascent_m integer,
  cadence integer,
  surface text not null check (surface in ('road', 'trail')),
  source text not null check (length(source) <= 300),
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, patient_id) references patient,
  foreign key (clinic_id, pair_id) references pair,
  check (ended_at >= began_at)
);
create index track_outing_by_patient on track_outing (clinic_id, patient_id, began_at);
create index track_outing_by_pair on track_outing (clinic_id, pair_id, done_on);
select build_wall('track_outing');
select open_to_backup('track_outing');
grant select, insert on track_outing to sovet_app;

create function forget_tracks() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from track_outing where clinic_id = new.clinic_id and patient_id = new.id;
  return null;
end $$;
create trigger forget_tracks after update of erased on patient for each row when (new.erased and not old.erased)
  execute function forget_tracks();
