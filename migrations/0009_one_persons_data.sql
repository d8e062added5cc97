-- Erasing one person: what names or describes them goes, what was counted without a name stays. Nothing else changes what
-- was issued.

alter table patient add column erased boolean not null default false;
alter table visit add column erased boolean not null default false;
alter table specification add column erased boolean not null default false;
alter table hand_over add column erased boolean not null default false;
alter table pair add column erased boolean not null default false;
alter table shoe_order add column erased boolean not null default false;
-- The application sees no shell of an erased record, whatever it asks. (An owner who is a member of its role must, while erasing.)
create policy not_erased on patient as restrictive for select to sovet_app
  using (not erased or current_setting('sovet.erasing', true) = 'yes');
create policy not_erased on visit as restrictive for select to sovet_app
  using (not erased or current_setting('sovet.erasing', true) = 'yes');
create policy not_erased on specification as restrictive for select to sovet_app
  using (not erased or current_setting('sovet.erasing', true) = 'yes');
create policy not_erased on hand_over as restrictive for select to sovet_app
  using (not erased or current_setting('sovet.erasing', true) = 'yes');
create policy not_erased on pair as restrictive for select to sovet_app
  using (not erased or current_setting('sovet.erasing', true) = 'yes');
create policy not_erased on shoe_order as restrictive for select to sovet_app
  using (not erased or current_setting('sovet.erasing', true) = 'yes');

-- Who was erased, so that an older backup that is restored can be brought up to date.
create table erasure (
  clinic_id uuid not null references clinic,
  patient_id uuid not null,
  reason text not null,
  by_user text not null,
  at timestamptz not null default now(),
  primary key (clinic_id, patient_id)
);
select build_wall('erasure');
select open_to_backup('erasure');
grant select on erasure to sovet_app;
create trigger append_only before update or delete on erasure for each row execute function refuse_change();

-- Append-only stays append-only, with one exception: the owner's own procedure below, which says that it is at work.
create or replace function refuse_change() returns trigger language plpgsql as $$
begin
  if tg_op = 'UPDATE' and current_setting('sovet.erasing', true) = 'yes'
     and current_user = (select pg_get_userbyid(relowner) from pg_class where oid = tg_relid) then
    return new;
  end if;
  raise exception '% is append-only', tg_table_name;
end $$;

create function erase_patient(erased_id uuid, why text, who text) returns boolean
  language plpgsql security definer set search_path = pg_catalog, public as $$
declare
  clinic uuid := current_clinic();
begin
  if clinic is null then raise exception 'no clinic was said'; end if;
  perform from patient where clinic_id = clinic and id = erased_id for update;
  if not found then return false; end if;
  perform set_config('sovet.erasing', 'yes', true);
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
  update patient set given_name = '', family_name = '', born_on = '1900-01-01', height_mm = null, occupation = '',
    school = null, erased = true where clinic_id = clinic and id = erased_id;
  insert into erasure (clinic_id, patient_id, reason, by_user) values (clinic, erased_id, why, who) on conflict do nothing;
  perform set_config('sovet.erasing', '', true);
  return true;
end $$;
revoke execute on function erase_patient(uuid, text, text) from public;
grant execute on function erase_patient(uuid, text, text) to sovet_app;

-- The trail: sign-ins, refusals and exports too; nobody empties it; sealed in blocks, each over the one before.
alter table audit_entry drop constraint audit_entry_action_check;
alter table audit_entry add constraint audit_entry_action_check
  check (action in ('read', 'write', 'export', 'sign-in', 'refused', 'erase'));
alter table audit_entry add column digest text;
create function audit_digest(entry audit_entry) returns text language sql stable as $$
  select encode(sha256(convert_to(concat_ws('|', entry.clinic_id, entry.id, extract(epoch from entry.at), entry.user_id,
    coalesce(entry.who, ''), coalesce(entry.patient_id::text, ''), entry.action, entry.what), 'UTF8')), 'hex') $$;
create function digest_entry() returns trigger language plpgsql as $$
begin
  new.digest := audit_digest(new);
  return new;
end $$;
create trigger digest_entry before insert on audit_entry for each row execute function digest_entry();
alter table audit_entry disable trigger append_only;
alter table audit_entry no force row level security;
update audit_entry set digest = audit_digest(audit_entry);
alter table audit_entry force row level security;
alter table audit_entry enable trigger append_only;
alter table audit_entry alter column digest set not null;
create index audit_by_time on audit_entry (clinic_id, at desc, id desc);
create trigger never_emptied before truncate on audit_entry for each statement execute function refuse_change();
grant insert on audit_entry to sovet_auth;
create policy sign_in on audit_entry for insert to sovet_auth with check (true);

create table audit_seal (
  clinic_id uuid not null references clinic,
  n integer not null,
  from_id bigint not null,
  to_id bigint not null,
  entries integer not null,
  -- Over the digests of its entries and the seal before it.
  digest text not null,
  sealed_at timestamptz not null default now(),
  primary key (clinic_id, n)
);
select build_wall('audit_seal');
select open_to_backup('audit_seal');
grant select on audit_seal to sovet_app;
create trigger append_only before update or delete on audit_seal for each row execute function refuse_change();
create trigger never_emptied before truncate on audit_seal for each statement execute function refuse_change();

-- What a block amounts to; the same reading seals and checks.
create function block_digest(clinic uuid, low bigint, high bigint, before text) returns text language sql stable as $$
  select encode(sha256(convert_to(before || coalesce(string_agg(digest, '' order by id), ''), 'UTF8')), 'hex')
  from audit_entry where clinic_id = clinic and id between low and high $$;

-- Seals what nobody can still be writing: entries older than a quarter of an hour.
create function seal_audit(clinic uuid) returns integer
  language plpgsql security definer set search_path = pg_catalog, public as $$
declare
  before audit_seal;
  high bigint;
  many integer;
begin
  perform set_config('sovet.clinic', clinic::text, true);
  perform pg_advisory_xact_lock(hashtext('seal ' || clinic));
  select * into before from audit_seal where clinic_id = clinic order by n desc limit 1;
  select max(id), count(*) into high, many from audit_entry
    where clinic_id = clinic and id > coalesce(before.to_id, 0) and at < now() - interval '15 minutes';
  if high is null then return 0; end if;
  insert into audit_seal (clinic_id, n, from_id, to_id, entries, digest)
    values (clinic, coalesce(before.n, 0) + 1, coalesce(before.to_id, 0) + 1, high, many,
      block_digest(clinic, coalesce(before.to_id, 0) + 1, high, coalesce(before.digest, '')));
  return many;
end $$;
revoke execute on function seal_audit(uuid) from public;
grant execute on function seal_audit(uuid) to sovet_auth;
grant select (clinic_id) on clinic to sovet_auth;
create policy sealing on clinic for select to sovet_auth using (true);
