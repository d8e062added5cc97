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

drop index pair_by_break_in;
create index pair_by_break_in on pair (clinic_id, break_in_state, started_on)
  where ended_on is null and break_in_state in ('refit', 'stop');
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

-- Who needs what: each kind from an index of its own and so many rows of it, so that the cost does not grow with the clinic. A function,
-- because its eighteen questions are planned once for a connection and not each time; it gives numbers of rows alone, of the clinic that
-- was said, and whoever reads them sees what the wall lets them see. What the kinds mean stands in core/recall.
create function recall_due(today date, at_site uuid, kinds text[], most integer)
  returns table (kind text, patient_id uuid, about_on date, model_id uuid, visit_id uuid, said jsonb)
  language plpgsql stable rows 100 security definer set search_path = pg_catalog, public
  -- A few rows of each kind, each by its index; whose they are is looked up row by row, so that no plan begins with the patients.
  set plan_cache_mode = force_generic_plan as $$
#variable_conflict use_column
declare
  mine uuid := current_clinic();
begin
  return query
  (select 'home-warning'::text, it.patient_id, it.said_on, null::uuid, null::uuid, it.content
    from home_report as it
    where 'home-warning' = any (kinds) and it.clinic_id = mine and it.is_warning and it.seen_at is null
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'home-warning' and off.snoozed_until > today)
    order by it.said_on limit most)
  union all
  (select 'stop-wearing'::text, it.patient_id, it.started_on, it.model_id, null::uuid, null::jsonb
    from pair as it
    where 'stop-wearing' = any (kinds) and it.clinic_id = mine and it.ended_on is null and it.break_in_state = 'stop'
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'stop-wearing' and off.snoozed_until > today)
    order by it.started_on limit most)
  union all
  (select 'outcome-alarm'::text, it.patient_id, outcome.taken_on, it.model_id, null::uuid, null::jsonb
    from outcome join pair as it on it.clinic_id = outcome.clinic_id and it.id = outcome.pair_id and it.ended_on is null
    where 'outcome-alarm' = any (kinds) and outcome.clinic_id = mine and outcome.alarm
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'outcome-alarm' and off.snoozed_until > today)
    order by outcome.taken_on limit most)
  union all
  (select 'visit-open'::text, it.patient_id, it.started_at::date, null::uuid, it.id, null::jsonb
    from visit as it
    where 'visit-open' = any (kinds) and it.clinic_id = mine and it.closed_at is null
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'visit-open' and off.snoozed_until > today)
    order by it.started_at limit most)
  union all
  (select 'risk-check'::text, it.patient_id, it.risk_check_on, null::uuid, null::uuid, null::jsonb
    from (select clinic_id, id as patient_id, risk_check_on from patient) as it
    where 'risk-check' = any (kinds) and it.clinic_id = mine and it.risk_check_on <= today
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'risk-check' and off.snoozed_until > today)
    order by it.risk_check_on limit most)
  union all
  (select 'refit-due'::text, it.patient_id, it.started_on, it.model_id, null::uuid, null::jsonb
    from pair as it
    where 'refit-due' = any (kinds) and it.clinic_id = mine and it.ended_on is null and it.break_in_state = 'refit'
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'refit-due' and off.snoozed_until > today)
    order by it.started_on limit most)
  union all
  (select 'return-ends'::text, it.patient_id, it.return_by, it.model_id, null::uuid, null::jsonb
    from pair as it
    where 'return-ends' = any (kinds) and it.clinic_id = mine and it.ended_on is null and it.return_by between today and today + 5
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'return-ends' and off.snoozed_until > today)
    order by it.return_by limit most)
  union all
  (select 'order-to-check'::text, it.patient_id, coalesce(it.arrived_on, it.created_at::date), it.model_id, null::uuid, null::jsonb
    from shoe_order as it
    where 'order-to-check' = any (kinds) and it.clinic_id = mine and it.state = 'arrived'
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'order-to-check' and off.snoozed_until > today)
    order by it.created_at limit most)
  union all
  (select 'order-to-return'::text, it.patient_id, coalesce(it.arrived_on + it.return_days, it.created_at::date), it.model_id, null::uuid, null::jsonb
    from shoe_order as it
    where 'order-to-return' = any (kinds) and it.clinic_id = mine and it.state = 'wrong'
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'order-to-return' and off.snoozed_until > today)
    order by it.created_at limit most)
  union all
  (select 'order-to-collect'::text, it.patient_id, coalesce(it.arrived_on, it.created_at::date), it.model_id, null::uuid, null::jsonb
    from shoe_order as it
    where 'order-to-collect' = any (kinds) and it.clinic_id = mine and it.state = 'checked'
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'order-to-collect' and off.snoozed_until > today)
    order by it.created_at limit most)
  union all
  (select 'order-late'::text, it.patient_id, it.expected_on, it.model_id, null::uuid, null::jsonb
    from shoe_order as it
    where 'order-late' = any (kinds) and it.clinic_id = mine and it.state = 'ordered' and it.expected_on < today
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'order-late' and off.snoozed_until > today)
    order by it.created_at limit most)
  union all
  (select 'order-to-place'::text, it.patient_id, it.created_at::date, it.model_id, null::uuid, null::jsonb
    from shoe_order as it
    where 'order-to-place' = any (kinds) and it.clinic_id = mine and it.state = 'wanted'
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'order-to-place' and off.snoozed_until > today)
    order by it.created_at limit most)
  union all
  (select 'answers-missing'::text, it.patient_id, it.answers_due_on, it.model_id, null::uuid, null::jsonb
    from pair as it
    where 'answers-missing' = any (kinds) and it.clinic_id = mine and it.ended_on is null and it.break_in_state = 'going' and it.answers_due_on <= today and it.answers_until >= today
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'answers-missing' and off.snoozed_until > today)
    order by it.answers_due_on limit most)
  union all
  (select 'pair-overdue'::text, it.patient_id, it.window_to, it.model_id, null::uuid, null::jsonb
    from pair as it
    where 'pair-overdue' = any (kinds) and it.clinic_id = mine and it.ended_on is null and it.window_to < today
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'pair-overdue' and off.snoozed_until > today)
    order by it.window_to limit most)
  union all
  (select 'review-due'::text, it.patient_id, it.review_on, it.model_id, null::uuid, null::jsonb
    from pair as it
    where 'review-due' = any (kinds) and it.clinic_id = mine and it.ended_on is null and it.review_on <= today + 7
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'review-due' and off.snoozed_until > today)
    order by it.review_on limit most)
  union all
  (select 'outcomes-due'::text, it.patient_id, it.outcomes_due_on, it.model_id, null::uuid, null::jsonb
    from pair as it
    where 'outcomes-due' = any (kinds) and it.clinic_id = mine and it.ended_on is null and it.outcomes_due_on <= today
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'outcomes-due' and off.snoozed_until > today)
    order by it.outcomes_due_on limit most)
  union all
  (select 'pair-in-window'::text, it.patient_id, it.window_to, it.model_id, null::uuid, null::jsonb
    from pair as it
    where 'pair-in-window' = any (kinds) and it.clinic_id = mine and it.ended_on is null and it.window_to >= today and it.window_from <= today
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'pair-in-window' and off.snoozed_until > today)
    order by it.window_to limit most)
  union all
  (select 'bring-in-next'::text, it.patient_id, it.window_from, it.model_id, null::uuid, null::jsonb
    from pair as it
    where 'bring-in-next' = any (kinds) and it.clinic_id = mine and it.ended_on is null and it.window_from > today and it.start_next_on <= today
      and (select whose.archived_at is null and (at_site is null or whose.site_id = at_site) from patient as whose
        where whose.clinic_id = it.clinic_id and whose.id = it.patient_id)
      and not exists (select from contact_try as off where off.clinic_id = it.clinic_id and off.patient_id = it.patient_id
        and off.kind = 'bring-in-next' and off.snoozed_until > today)
    order by it.window_from limit most);
end $$;
revoke execute on function recall_due(date, uuid, text[], integer) from public;
grant execute on function recall_due(date, uuid, text[], integer) to sovet_app;

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
