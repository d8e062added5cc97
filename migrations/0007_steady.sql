-- What a clinic needs to run: guarded sign-in, one open visit a patient, a trail that keeps the names of the moment, and a
-- role that may read everything for a backup and change nothing.

-- Guesses at one account. The key is a digest of the address typed, whether or not anybody has it.
create table auth.sign_in_guard (
  key text primary key,
  attempts integer not null,
  last_at timestamptz not null default now(),
  blocked_until timestamptz not null default now()
);
-- Browsers that somebody has signed in from: guesses from elsewhere do not lock these out.
create table auth.known_device (
  hash text primary key,
  clinic_id uuid not null default gen_random_uuid() references clinic,
  "userId" text not null references auth."user" on delete cascade,
  last_used_at timestamptz not null default now()
);
create index on auth.known_device ("userId");
create trigger clinic_of_user before insert on auth.known_device for each row execute function auth.clinic_of_user();
alter table auth.sign_in_guard enable row level security;
alter table auth.sign_in_guard force row level security;
select build_wall('auth.known_device');
create policy sign_in on auth.sign_in_guard to sovet_auth using (true) with check (true);
create policy sign_in on auth.known_device to sovet_auth using (true) with check (true);
grant select, insert, update, delete on auth.sign_in_guard, auth.known_device to sovet_auth;

-- Two begun at once become one.
alter table visit no force row level security;
update visit set closed_at = now(), closed_because = 'another visit was open'
  where closed_at is null and exists (
    select from visit other where other.clinic_id = visit.clinic_id and other.patient_id = visit.patient_id
      and other.closed_at is null and (other.started_at, other.id) < (visit.started_at, visit.id));
alter table visit force row level security;
create unique index visit_open_once on visit (clinic_id, patient_id) where closed_at is null;

-- Names in the trail are those of the moment.
alter table audit_entry add column who text;
alter table audit_entry disable trigger append_only;
alter table audit_entry no force row level security;
update audit_entry set who = person.name from auth."user" person where person.id = audit_entry.user_id;
alter table audit_entry force row level security;
alter table audit_entry enable trigger append_only;

-- Step 5 wrote this column only where its owner could see past the wall; an owner who is no superuser could not.
alter table specification disable trigger append_only;
alter table specification no force row level security;
update specification set house_version = split_part(result->>'knowledge', '+house.', 2)::integer
  where house_version = 0 and result->>'knowledge' like '%+house.%';
alter table specification force row level security;
alter table specification enable trigger append_only;

do $$ begin
  if not exists (select from pg_roles where rolname = 'sovet_backup') then create role sovet_backup nologin; end if;
exception when duplicate_object or unique_violation then null; end $$;
grant usage on schema public, auth to sovet_backup;

-- Lets the backup role read a table past its wall, and nothing else.
create function open_to_backup(walled regclass) returns void language plpgsql as $$
begin
  execute format('grant select on %s to sovet_backup', walled);
  execute format('create policy backup on %s for select to sovet_backup using (true)', walled);
end $$;
select open_to_backup(c.oid::regclass)
  from pg_class c join pg_namespace n on n.oid = c.relnamespace
  where n.nspname in ('public', 'auth') and c.relkind = 'r' and c.relrowsecurity;
