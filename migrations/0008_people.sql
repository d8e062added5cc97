-- A clinic of one's own: set up once with a code, people who are invited, leave or are suspended, a second factor, mail.

alter table auth."user"
  add column standing text not null default 'active' check (standing in ('invited', 'active', 'suspended', 'left')),
  add column "lastSignInAt" timestamptz,
  add column "twoFactorEnabled" boolean not null default false;
-- People of one's own clinic are looked after behind the wall like everything else.
grant select (email, standing, "lastSignInAt", "twoFactorEnabled", "createdAt"), insert, update (role, standing, "twoFactorEnabled", "updatedAt")
  on auth."user" to sovet_app;
grant select (id, clinic_id, "userId", "createdAt", "updatedAt", "expiresAt", "userAgent"), delete on auth.session to sovet_app;

create table auth."twoFactor" (
  id text primary key,
  clinic_id uuid not null default gen_random_uuid() references clinic,
  "userId" text not null references auth."user" on delete cascade,
  secret text not null,
  "backupCodes" text not null,
  verified boolean not null default true,
  "failedVerificationCount" integer not null default 0,
  "lockedUntil" timestamptz
);
create index on auth."twoFactor" ("userId");
create trigger clinic_of_user before insert on auth."twoFactor" for each row execute function auth.clinic_of_user();
select build_wall('auth."twoFactor"');
create policy sign_in on auth."twoFactor" to sovet_auth using (true) with check (true);
grant select, insert, update, delete on auth."twoFactor" to sovet_auth;
grant select ("userId", clinic_id), delete on auth."twoFactor" to sovet_app;

-- A link by which somebody sets a password: kept as a digest, used once.
create table auth.password_link (
  hash text primary key,
  clinic_id uuid not null references clinic,
  user_id text not null references auth."user" on delete cascade,
  kind text not null check (kind in ('invitation', 'reset')),
  expires_at timestamptz not null,
  used_at timestamptz
);
create index on auth.password_link (user_id);
select build_wall('auth.password_link');
create policy sign_in on auth.password_link to sovet_auth using (true) with check (true);
grant select, update on auth.password_link to sovet_auth;
grant select, insert, delete on auth.password_link to sovet_app;

-- The code of a first start, as a digest. Whoever has read the console may make the first clinic, once.
create table auth.set_up (hash text primary key, expires_at timestamptz not null);
alter table auth.set_up enable row level security;
alter table auth.set_up force row level security;
create policy sign_in on auth.set_up to sovet_auth using (true) with check (true);
grant select, insert, update, delete on auth.set_up to sovet_auth;
-- The sign-in role makes a clinic only while a code waits, and only the first.
create policy first_clinic on clinic for insert to sovet_auth with check (exists (select from auth.set_up));
grant insert on clinic to sovet_auth;

-- Letters to people. Where no mail server is known they are shown in the outbox and go nowhere.
create table mail (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  recipient text not null,
  subject text not null,
  body text not null,
  state text not null default 'waiting' check (state in ('waiting', 'sent', 'shown', 'failed')),
  tries integer not null default 0,
  problem text,
  written_at timestamptz not null default now(),
  next_try_at timestamptz not null default now(),
  sent_at timestamptz,
  primary key (clinic_id, id)
);
create index mail_waiting on mail (next_try_at) where state = 'waiting';
select build_wall('mail');
create policy sending on mail to sovet_auth using (true) with check (true);
grant select, insert on mail to sovet_app;
grant select, update on mail to sovet_auth;

select open_to_backup(t) from unnest(array['auth."twoFactor"', 'auth.password_link', 'auth.set_up', 'mail']::regclass[]) t;
