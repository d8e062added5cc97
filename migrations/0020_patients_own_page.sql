-- The patient's own page: links that the clinic hands out, the phones that opened them, and what was said from home.

create table home_link (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  patient_id uuid not null,
  hash text not null unique,
  -- Wrong dates of birth since it was last opened.
  tries integer not null default 0,
  made_by text not null,
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  revoked_at timestamptz,
  primary key (clinic_id, id),
  foreign key (clinic_id, patient_id) references patient
);
create index home_link_by_patient on home_link (clinic_id, patient_id);
select build_wall('home_link');
select open_to_backup('home_link');
grant select, insert, update (revoked_at) on home_link to sovet_app;
grant select, update (tries) on home_link to sovet_auth;
create policy sign_in on home_link to sovet_auth using (true) with check (true);

create table home_phone (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  link_id uuid not null,
  hash text not null unique,
  -- What was agreed to when it was opened: the edition of its words.
  agreed_to integer not null,
  opened_at timestamptz not null default now(),
  seen_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, link_id) references home_link
);
create index home_phone_by_link on home_phone (clinic_id, link_id);
select build_wall('home_phone');
select open_to_backup('home_phone');
grant select, insert, update (seen_at), delete on home_phone to sovet_app;
grant select on home_phone to sovet_auth;
create policy sign_in on home_phone for select to sovet_auth using (true);

create table home_report (
  clinic_id uuid not null references clinic,
  -- Made on the phone, so that what arrives twice is kept once.
  id uuid not null,
  patient_id uuid not null,
  pair_id uuid,
  link_id uuid not null,
  -- The day it is of, as the phone has it.
  said_on date not null,
  content jsonb not null,
  image bytea check (length(image) <= 1600000),
  is_warning boolean not null,
  -- Why the record of the pair did not take it, where it did not.
  aside text,
  received_at timestamptz not null default now(),
  seen_at timestamptz,
  seen_by text,
  found text not null default '' check (length(found) <= 600),
  primary key (clinic_id, id),
  foreign key (clinic_id, patient_id) references patient,
  foreign key (clinic_id, pair_id) references pair,
  foreign key (clinic_id, link_id) references home_link
);
create index home_report_by_patient on home_report (clinic_id, patient_id, said_on);
create index home_report_warning on home_report (clinic_id, said_on) where is_warning and seen_at is null;
select build_wall('home_report');
select open_to_backup('home_report');
grant select, insert, update (aside, seen_at, seen_by, found) on home_report to sovet_app;

create function forget_home() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from home_report where clinic_id = new.clinic_id and patient_id = new.id;
  delete from home_phone where clinic_id = new.clinic_id
    and link_id in (select id from home_link where clinic_id = new.clinic_id and patient_id = new.id);
  delete from home_link where clinic_id = new.clinic_id and patient_id = new.id;
  return null;
end $$;
create trigger forget_home after update of erased on patient for each row when (new.erased and not old.erased)
  execute function forget_home();
