-- Roles that the application connects through. Neither owns a table, so neither can bypass row-level security.
do $$ begin
  if not exists (select from pg_roles where rolname = 'sovet_app') then create role sovet_app nologin; end if;
  if not exists (select from pg_roles where rolname = 'sovet_auth') then create role sovet_auth nologin; end if;
exception when duplicate_object or unique_violation then null; end $$;

create schema auth;
grant usage on schema auth to sovet_auth, sovet_app;
grant usage on schema public to sovet_auth, sovet_app;

-- The clinic that the current transaction speaks for; null when nobody has said, and then nothing is visible.
create function current_clinic() returns uuid language sql stable
  as $$ select nullif(current_setting('sovet.clinic', true), '')::uuid $$;

-- Puts the wall around a table: every row belongs to a clinic, and only that clinic sees or writes it.
create function build_wall(walled regclass) returns void language plpgsql as $$
begin
  execute format('alter table %s enable row level security', walled);
  execute format('alter table %s force row level security', walled);
  execute format('create policy clinic_wall on %s using (clinic_id = current_clinic()) with check (clinic_id = current_clinic())', walled);
end $$;

create table clinic (
  clinic_id uuid primary key default gen_random_uuid(),
  name text not null,
  place text not null,
  school text not null default 'balanced',
  life_school text not null default 'median'
);
select build_wall('clinic');
grant select on clinic to sovet_app;
grant update (name, place, school, life_school) on clinic to sovet_app;

-- Sign-in. These tables are read before the clinic is known, so the sign-in role may see all clinics here, and
-- nothing but these tables.
create table auth."user" (
  id text primary key,
  clinic_id uuid not null references clinic,
  name text not null,
  email text not null unique,
  "emailVerified" boolean not null default false,
  image text,
  role text not null check (role in ('lead', 'practitioner', 'assistant')),
  "createdAt" timestamptz not null default now(),
  "updatedAt" timestamptz not null default now()
);
create table auth.session (
  id text primary key,
  clinic_id uuid not null default gen_random_uuid() references clinic,
  "userId" text not null references auth."user" on delete cascade,
  token text not null unique,
  "expiresAt" timestamptz not null,
  "ipAddress" text,
  "userAgent" text,
  "createdAt" timestamptz not null default now(),
  "updatedAt" timestamptz not null default now()
);
create index on auth.session ("userId");
create table auth.account (
  id text primary key,
  clinic_id uuid not null default gen_random_uuid() references clinic,
  "accountId" text not null,
  "providerId" text not null,
  "userId" text not null references auth."user" on delete cascade,
  "accessToken" text, "refreshToken" text, "idToken" text,
  "accessTokenExpiresAt" timestamptz, "refreshTokenExpiresAt" timestamptz,
  scope text,
  password text,
  "createdAt" timestamptz not null default now(),
  "updatedAt" timestamptz not null default now()
);
create index on auth.account ("userId");
-- The sign-in library does not know clinics: a trigger writes the user's over the default of these two.
create function auth.clinic_of_user() returns trigger language plpgsql as $$
begin
  select clinic_id into new.clinic_id from auth."user" where id = new."userId";
  return new;
end $$;
create trigger clinic_of_user before insert on auth.session for each row execute function auth.clinic_of_user();
create trigger clinic_of_user before insert on auth.account for each row execute function auth.clinic_of_user();

-- Nobody has signed in yet when these two are written: they hold no clinic's data.
create table auth.verification (
  id text primary key, identifier text not null, value text not null,
  "expiresAt" timestamptz not null, "createdAt" timestamptz not null default now(), "updatedAt" timestamptz not null default now()
);
create table auth."rateLimit" (id text primary key, key text not null unique, count integer not null, "lastRequest" bigint not null);

select build_wall(t) from unnest(array['auth."user"', 'auth.session', 'auth.account']::regclass[]) t;
alter table auth.verification enable row level security;
alter table auth.verification force row level security;
alter table auth."rateLimit" enable row level security;
alter table auth."rateLimit" force row level security;
create policy sign_in on auth."user" to sovet_auth using (true) with check (true);
create policy sign_in on auth.session to sovet_auth using (true) with check (true);
create policy sign_in on auth.account to sovet_auth using (true) with check (true);
create policy sign_in on auth.verification to sovet_auth using (true) with check (true);
create policy sign_in on auth."rateLimit" to sovet_auth using (true) with check (true);
grant select, insert, update, delete on all tables in schema auth to sovet_auth;
grant select (id, clinic_id, name, role) on auth."user" to sovet_app;
