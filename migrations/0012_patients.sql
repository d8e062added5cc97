-- Looking after records: ways to reach somebody, what they agreed to, two records that are one person, archive, and rules for how
-- long a record is kept.

alter table patient
  add column phone text not null default '',
  add column email text not null default '',
  add column address text not null default '',
  add column contact_by text not null default 'phone' check (contact_by in ('phone', 'text', 'email', 'letter', 'none')),
  add column archived_at timestamptz,
  add column merged_into uuid,
  add foreign key (clinic_id, merged_into) references patient,
  -- Closed from view because a rule obliges to keep it after its person asked to be erased.
  add column closed_until date,
  add column closed_because text;
create index patient_born on patient (clinic_id, born_on);
create index patient_closed on patient (closed_until) where closed_until is not null;

alter table visit add column closed boolean not null default false;
alter table specification add column closed boolean not null default false;
alter table hand_over add column closed boolean not null default false;
alter table pair add column closed boolean not null default false;
alter table shoe_order add column closed boolean not null default false;

-- The application sees no erased, folded or closed record, whatever it asks.
create function keeping_records() returns boolean language sql stable as $$
  select current_setting('sovet.erasing', true) = 'yes' $$;
drop policy not_erased on patient;
create policy in_view on patient as restrictive for select to sovet_app
  using ((not erased and merged_into is null and closed_until is null) or keeping_records());
do $$
declare walled text;
begin
  foreach walled in array array['visit', 'specification', 'hand_over', 'pair', 'shoe_order'] loop
    execute format('drop policy not_erased on %I', walled);
    execute format('create policy in_view on %I as restrictive for select to sovet_app
      using ((not erased and not closed) or keeping_records())', walled);
  end loop;
end $$;

create table consent (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  patient_id uuid not null,
  kind text not null check (kind in ('care', 'contact', 'share', 'learning')),
  how text not null check (how in ('spoken', 'signed', 'guardian')),
  given_on date not null,
  note text not null default '',
  recorded_by text not null,
  recorded_at timestamptz not null default now(),
  withdrawn_on date,
  withdrawn_by text,
  primary key (clinic_id, id),
  foreign key (clinic_id, patient_id) references patient,
  check (withdrawn_on is null or withdrawn_on >= given_on)
);
create index consent_by_patient on consent (clinic_id, patient_id, given_on desc);
select build_wall('consent');
select open_to_backup('consent');
grant select, insert, update (withdrawn_on, withdrawn_by) on consent to sovet_app;

-- Two records that were one person, with every row that moved, so that it can be taken back.
create table merge (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  kept uuid not null,
  folded uuid not null,
  folded_name text not null,
  moved jsonb not null,
  by_user text not null,
  at timestamptz not null default now(),
  undone_at timestamptz,
  primary key (clinic_id, id),
  foreign key (clinic_id, kept) references patient,
  foreign key (clinic_id, folded) references patient
);
create unique index merge_once on merge (clinic_id, folded) where undone_at is null;
select build_wall('merge');
select open_to_backup('merge');
grant select on merge to sovet_app;

create function merge_patients(kept_id uuid, folded_id uuid, who text) returns uuid
  language plpgsql security definer set search_path = pg_catalog, public as $$
declare
  clinic uuid := current_clinic();
  walled text;
  ids jsonb;
  moved jsonb := '{}';
  merge_id uuid;
begin
  if clinic is null then raise exception 'no clinic was said'; end if;
  if kept_id = folded_id then return null; end if;
  perform set_config('sovet.erasing', 'yes', true);
  perform from patient where clinic_id = clinic and id in (kept_id, folded_id) and not erased and merged_into is null
    and closed_until is null order by id for update;
  if (select count(*) from patient where clinic_id = clinic and id in (kept_id, folded_id) and not erased
      and merged_into is null and closed_until is null) <> 2 then
    perform set_config('sovet.erasing', '', true);
    return null;
  end if;
  foreach walled in array array['visit', 'specification', 'pair', 'hand_over', 'shoe_order', 'consent'] loop
    execute format('with gone as (update %I set patient_id = $1 where clinic_id = $2 and patient_id = $3 returning id)
      select coalesce(jsonb_agg(id), ''[]'') from gone', walled) into ids using kept_id, clinic, folded_id;
    moved := moved || jsonb_build_object(walled, ids);
  end loop;
  insert into merge (clinic_id, kept, folded, folded_name, moved, by_user)
    select clinic, kept_id, folded_id, given_name || ' ' || family_name, moved, who from patient
    where clinic_id = clinic and id = folded_id returning id into merge_id;
  update patient set merged_into = kept_id where clinic_id = clinic and id = folded_id;
  perform set_config('sovet.erasing', '', true);
  return merge_id;
end $$;

-- Gives back what moved; what came since stays with the record that was kept.
create function unmerge_patients(merge_id uuid) returns boolean
  language plpgsql security definer set search_path = pg_catalog, public as $$
declare
  clinic uuid := current_clinic();
  done merge;
  walled text;
begin
  if clinic is null then raise exception 'no clinic was said'; end if;
  perform set_config('sovet.erasing', 'yes', true);
  select * into done from merge where clinic_id = clinic and id = merge_id and undone_at is null for update;
  if not found or exists (select from patient where clinic_id = clinic and id = done.kept
      and (erased or merged_into is not null or closed_until is not null)) then
    perform set_config('sovet.erasing', '', true);
    return false;
  end if;
  update patient set merged_into = null where clinic_id = clinic and id = done.folded;
  foreach walled in array array['visit', 'specification', 'pair', 'hand_over', 'shoe_order', 'consent'] loop
    execute format('update %I set patient_id = $1 where clinic_id = $2 and id in
      (select value::uuid from jsonb_array_elements_text($3))', walled)
      using done.folded, clinic, done.moved -> walled;
  end loop;
  update merge set undone_at = now() where clinic_id = clinic and id = merge_id;
  perform set_config('sovet.erasing', '', true);
  return true;
end $$;

-- Closes a record from view, or opens it again (until: null).
create function close_patient(closed_id uuid, until date, because text) returns boolean
  language plpgsql security definer set search_path = pg_catalog, public as $$
declare
  clinic uuid := current_clinic();
  shut boolean := until is not null;
  found_it boolean;
begin
  if clinic is null then raise exception 'no clinic was said'; end if;
  perform set_config('sovet.erasing', 'yes', true);
  update patient set closed_until = until, closed_because = because
    where clinic_id = clinic and id = closed_id and not erased and merged_into is null;
  found_it := found;
  if found_it then
    if shut then
      update visit set closed_at = coalesce(closed_at, now()) where clinic_id = clinic and patient_id = closed_id;
    end if;
    update visit set closed = shut where clinic_id = clinic and patient_id = closed_id;
    update specification set closed = shut where clinic_id = clinic and patient_id = closed_id;
    update hand_over set closed = shut where clinic_id = clinic and patient_id = closed_id;
    update pair set closed = shut where clinic_id = clinic and patient_id = closed_id;
    update shoe_order set closed = shut where clinic_id = clinic and patient_id = closed_id;
  end if;
  perform set_config('sovet.erasing', '', true);
  return found_it;
end $$;

-- Whom a lead may open again: a name, until when, and the rule; nothing of what is in the record.
create function closed_patients() returns table (id uuid, name text, until date, because text)
  language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  perform set_config('sovet.erasing', 'yes', true);
  return query select p.id, p.given_name || ' ' || p.family_name, p.closed_until, p.closed_because from patient p
    where p.clinic_id = current_clinic() and p.closed_until is not null and not p.erased order by p.closed_until, p.id;
  perform set_config('sovet.erasing', '', true);
end $$;

-- As before, and what was added since: ways to reach, consents, folded records, closing.
create or replace function erase_patient(erased_id uuid, why text, who text) returns boolean
  language plpgsql security definer set search_path = pg_catalog, public as $$
declare
  clinic uuid := current_clinic();
begin
  if clinic is null then raise exception 'no clinic was said'; end if;
  perform set_config('sovet.erasing', 'yes', true);
  perform from patient where clinic_id = clinic and id = erased_id for update;
  if not found then
    perform set_config('sovet.erasing', '', true);
    return false;
  end if;
  delete from visit_presence where clinic_id = clinic and visit_id in (select id from visit where patient_id = erased_id);
  delete from visit_step where clinic_id = clinic and visit_id in (select id from visit where patient_id = erased_id);
  update specification set picture = '{}', choices = '{}', result = '{}', purpose = null, erased = true
    where clinic_id = clinic and patient_id = erased_id and not erased;
  update hand_over set sheet = '{}', erased = true where clinic_id = clinic and patient_id = erased_id and not erased;
  update order_event set note = '' where clinic_id = clinic and order_id in (select id from shoe_order where patient_id = erased_id);
  update shoe_order set try_on = '{}', start = '{}', modifications = '[]', erased = true
    where clinic_id = clinic and patient_id = erased_id;
  update pair_log set note = '' where clinic_id = clinic and pair_id in (select id from pair where patient_id = erased_id);
  update pair set body_mass_kg = null, modifications = '[]', erased = true where clinic_id = clinic and patient_id = erased_id;
  update visit set closed_at = coalesce(closed_at, now()), closed_because = null, erased = true
    where clinic_id = clinic and patient_id = erased_id;
  delete from consent where clinic_id = clinic and patient_id = erased_id;
  update merge set folded_name = '' where clinic_id = clinic and (kept = erased_id or folded = erased_id);
  -- A record that was folded into this one was this person too.
  update patient set given_name = '', family_name = '', born_on = '1900-01-01', height_mm = null, occupation = '',
    school = null, phone = '', email = '', address = '', closed_until = null, closed_because = null, erased = true
    where clinic_id = clinic and (id = erased_id or merged_into = erased_id);
  insert into erasure (clinic_id, patient_id, reason, by_user)
    select clinic, p.id, why, who from patient p where p.clinic_id = clinic and (p.id = erased_id or p.merged_into = erased_id)
    on conflict do nothing;
  perform set_config('sovet.erasing', '', true);
  return true;
end $$;

-- Closed records whose time is up are erased, as their person asked.
create function erase_due(clinic uuid) returns integer
  language plpgsql security definer set search_path = pg_catalog, public as $$
declare
  due uuid;
  many integer := 0;
begin
  perform set_config('sovet.clinic', clinic::text, true);
  perform set_config('sovet.erasing', 'yes', true);
  for due in select id from patient where clinic_id = clinic and closed_until < current_date and not erased loop
    insert into audit_entry (clinic_id, user_id, who, patient_id, action, what)
      values (clinic, 'retention', 'Rule of retention', due, 'erase', 'everything of this person: the time of keeping is up');
    perform erase_patient(due, 'asked for; the time of keeping is up', 'retention');
    perform set_config('sovet.erasing', 'yes', true);
    many := many + 1;
  end loop;
  perform set_config('sovet.erasing', '', true);
  return many;
end $$;

revoke execute on function merge_patients(uuid, uuid, text), unmerge_patients(uuid), close_patient(uuid, date, text),
  closed_patients(), erase_due(uuid) from public;
grant execute on function merge_patients(uuid, uuid, text), unmerge_patients(uuid), close_patient(uuid, date, text),
  closed_patients() to sovet_app;
grant execute on function erase_due(uuid) to sovet_auth;

alter table clinic add column retention jsonb not null default '{}';
grant update (retention) on clinic to sovet_app;
