-- One person in several clinics, several sites of one clinic, tokens that may do less, a second factor that a clinic asks for.

-- A row of auth."user" is a seat in one clinic. Its own address signs in, or another account that its person has confirmed.
alter table auth."user"
  add column person_of text references auth."user" on delete set null check (person_of <> id),
  -- The address that this clinic writes to; in another clinic the same address may be known too.
  add column contact_email text;
alter table auth."user" no force row level security;
update auth."user" set contact_email = email;
alter table auth."user" force row level security;
alter table auth."user" alter column contact_email set not null;
create unique index user_contact_once on auth."user" (clinic_id, contact_email);
create index user_seats on auth."user" (person_of) where person_of is not null;
create function auth.contact_of_user() returns trigger language plpgsql as $$
begin
  new.contact_email := coalesce(new.contact_email, new.email);
  return new;
end $$;
create trigger contact_of_user before insert on auth."user" for each row execute function auth.contact_of_user();

-- The seat that a session sits in, where it is not that of its own account; it stands behind that clinic's wall.
alter table auth.session add column seat text references auth."user" on delete cascade;
create index session_seat on auth.session (seat) where seat is not null;
alter table auth.password_link add column tries integer not null default 0;
grant delete on auth.password_link to sovet_auth;

create table site (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  name text not null,
  place text not null,
  closed boolean not null default false,
  primary key (clinic_id, id),
  unique (clinic_id, name)
);
select build_wall('site');
select open_to_backup('site');
grant select, insert, update (name, place, closed) on site to sovet_app;
grant select on site to sovet_auth;
create policy sign_in on site for select to sovet_auth using (true);
alter table auth."user" add column site_id uuid, add foreign key (clinic_id, site_id) references site;
alter table visit add column site_id uuid, add foreign key (clinic_id, site_id) references site;
alter table patient add column site_id uuid, add foreign key (clinic_id, site_id) references site;
create index patient_by_site on patient (clinic_id, site_id) where site_id is not null;

grant select (contact_email, person_of, site_id), update (site_id) on auth."user" to sovet_app;
grant select (seat) on auth.session to sovet_app;

alter table clinic
  add column second_factor_required boolean not null default false,
  add column formats jsonb not null default '{}';
grant update (second_factor_required, formats) on clinic to sovet_app;
grant select (name, place, second_factor_required, formats) on clinic to sovet_auth;

alter table access_token
  add column access text not null default 'write' check (access in ('read', 'write')),
  -- Null: every area of the API.
  add column areas text[];
