-- Who needs what: each kind of contact from an index of its own, what was tried, letters that go out once and not at night.

alter table pair
  -- Until somebody comes again; from the hand-over.
  add column review_on date,
  -- When an answer of its break-in is missed, and until when one is expected.
  add column answers_due_on date,
  add column answers_until date;
alter table patient
  -- Feet at risk: how often they are looked at, and when next.
  add column risk_check_months smallint,
  add column risk_check_on date;

update pair set review_on = latest.review_on
  from (select distinct on (clinic_id, pair_id) clinic_id, pair_id, patient_id, review_on, handed_over_at
    from hand_over order by clinic_id, pair_id, handed_over_at desc) as latest
  where pair.clinic_id = latest.clinic_id and pair.id = latest.pair_id and not exists (select from visit
    where visit.clinic_id = latest.clinic_id and visit.patient_id = latest.patient_id
      and visit.started_at > latest.handed_over_at);
update outcome set alarm = false where alarm and (
  exists (select from outcome as later where later.clinic_id = outcome.clinic_id and later.pair_id = outcome.pair_id
    and later.taken_on > outcome.taken_on)
  or exists (select from pair join visit on visit.clinic_id = pair.clinic_id and visit.patient_id = pair.patient_id
    where pair.clinic_id = outcome.clinic_id and pair.id = outcome.pair_id and visit.started_at > outcome.made_at));

create index pair_by_review on pair (clinic_id, review_on) where ended_on is null and review_on is not null;
create index pair_by_answers on pair (clinic_id, answers_due_on) where ended_on is null and answers_due_on is not null;
create index pair_by_window_from on pair (clinic_id, window_from) where ended_on is null;
create index pair_by_window_to on pair (clinic_id, window_to) where ended_on is null;
create index patient_by_risk_check on patient (clinic_id, risk_check_on) where risk_check_on is not null;
create index visit_open on visit (clinic_id, started_at) where closed_at is null;
create index shoe_order_waiting on shoe_order (clinic_id, state, created_at) where state in ('wanted', 'ordered', 'arrived', 'checked', 'wrong');

-- A visit answers what waited for one.
create function visit_answers() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  update pair set review_on = null where clinic_id = new.clinic_id and patient_id = new.patient_id and review_on is not null;
  update outcome set alarm = false where clinic_id = new.clinic_id and alarm and made_at < new.started_at
    and pair_id in (select id from pair where clinic_id = new.clinic_id and patient_id = new.patient_id);
  update patient set risk_check_on = new.started_at::date + 30 * risk_check_months
    where clinic_id = new.clinic_id and id = new.patient_id and risk_check_months is not null;
  return null;
end $$;
create trigger visit_answers after insert on visit for each row execute function visit_answers();

create function review_of_pair() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  update pair set review_on = new.review_on where clinic_id = new.clinic_id and id = new.pair_id;
  return null;
end $$;
create trigger review_of_pair after insert on hand_over for each row execute function review_of_pair();

-- What was well at a later day is no alarm any more.
create function latest_alarm() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  update outcome set alarm = false where clinic_id = new.clinic_id and pair_id = new.pair_id and alarm
    and exists (select from outcome as later where later.clinic_id = outcome.clinic_id and later.pair_id = outcome.pair_id
      and later.taken_on > outcome.taken_on);
  return null;
end $$;
create trigger latest_alarm after insert or update of measures on outcome for each row execute function latest_alarm();

-- What was tried to reach somebody, and until when they are left alone with it.
create table contact_try (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  patient_id uuid not null,
  kind text not null,
  -- The day that it is about: what is due on another day is another matter.
  about_on date not null,
  way text not null check (way in ('called', 'spoke', 'no-answer', 'written', 'snoozed')),
  note text not null default '' check (length(note) <= 300),
  snoozed_until date,
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, patient_id) references patient,
  check ((way = 'snoozed') = (snoozed_until is not null))
);
create index contact_try_by_patient on contact_try (clinic_id, patient_id, kind, made_at desc);
-- The same is written once.
create unique index contact_written_once on contact_try (clinic_id, patient_id, kind, about_on) where way = 'written';
select build_wall('contact_try');
select open_to_backup('contact_try');
grant select, insert on contact_try to sovet_app;

alter table clinic
  -- Hours of the day between which no letter goes out, and whether the lead gets a letter each week.
  add column quiet_from smallint not null default 20 check (quiet_from between 0 and 23),
  add column quiet_to smallint not null default 8 check (quiet_to between 0 and 23),
  add column digest boolean not null default true,
  add column digest_on date;
grant update (quiet_from, quiet_to, digest, digest_on) on clinic to sovet_app;

create or replace function forget_home() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from home_report where clinic_id = new.clinic_id and patient_id = new.id;
  delete from home_phone where clinic_id = new.clinic_id
    and link_id in (select id from home_link where clinic_id = new.clinic_id and patient_id = new.id);
  delete from home_link where clinic_id = new.clinic_id and patient_id = new.id;
  delete from contact_try where clinic_id = new.clinic_id and patient_id = new.id;
  update patient set risk_check_months = null, risk_check_on = null where clinic_id = new.clinic_id and id = new.id;
  update pair set review_on = null, answers_due_on = null, answers_until = null
    where clinic_id = new.clinic_id and patient_id = new.id;
  return null;
end $$;
