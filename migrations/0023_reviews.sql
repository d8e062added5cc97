-- Reviews of a pair, what a specification rests on as lists count it, and what was foretold of a pair, to be held against what came.

create table review (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  -- Whose it is follows from the pair, also where records are folded.
  pair_id uuid not null,
  done_on date not null,
  decision text not null check (decision in ('keep', 'refit', 'next', 'refer')),
  content jsonb not null,
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, id),
  foreign key (clinic_id, pair_id) references pair
);
create index review_by_pair on review (clinic_id, pair_id, done_on);
select build_wall('review');
select open_to_backup('review');
grant select, insert on review to sovet_app;

-- The life that was foretold when a pair began, in the unit of its clock: what came of it is held against this and not against
-- what was learned since.
alter table pair add column first_life jsonb,
  -- A review stopped it: it is not worn until another lets it go on.
  add column stopped_on date;

-- Rules that pushed a specification, each once, on the pair and on either foot.
create function rules_spoken(result jsonb) returns text[] language sql immutable parallel safe set search_path = pg_catalog, public as $$
  select coalesce(array_agg(distinct push->>'rule' order by push->>'rule'), '{}')
  from (
    select jsonb_array_elements(result->'targets') as target
    union all select jsonb_array_elements(result->'feet'->'left')
    union all select jsonb_array_elements(result->'feet'->'right')
  ) as each, lateral jsonb_array_elements(target->'pushes') as push
$$;
-- Those of them that were set aside, or whose target was decided otherwise.
create function rules_overruled(result jsonb) returns text[] language sql immutable parallel safe set search_path = pg_catalog, public as $$
  select coalesce(array_agg(distinct push->>'rule' order by push->>'rule'), '{}')
  from (
    select jsonb_array_elements(result->'targets') as target
    union all select jsonb_array_elements(result->'feet'->'left')
    union all select jsonb_array_elements(result->'feet'->'right')
  ) as each, lateral jsonb_array_elements(target->'pushes') as push
  where push ? 'setAside' or coalesce(target->'decision'->>'kind' = 'overrule', false)
$$;
alter table specification
  add column school text generated always as (result->>'school') stored,
  add column spoke text[] generated always as (rules_spoken(result)) stored,
  add column overruled text[] generated always as (rules_overruled(result)) stored;

-- How comfortable a pair was found when it was tried, and what was guessed before.
alter table fitting
  add column nth smallint,
  add column comfort smallint,
  add column guess smallint;

-- A film from home lies as its still pictures beside its report.
alter table home_report add column frames bytea[];

-- How long each step of a visit was open before somebody, seconds: from the word that a visit's page gives of itself.
create table visit_time (
  clinic_id uuid not null references clinic,
  visit_id uuid not null,
  step text not null,
  seconds integer not null default 0,
  primary key (clinic_id, visit_id, step),
  foreign key (clinic_id, visit_id) references visit
);
select build_wall('visit_time');
select open_to_backup('visit_time');
grant select, insert, update on visit_time to sovet_app;

create function forget_reviews() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from review where clinic_id = new.clinic_id and pair_id = new.id;
  -- Of a record that was folded into another, its outings too.
  delete from track_outing where clinic_id = new.clinic_id and pair_id = new.id;
  update pair set stopped_on = null, first_life = null where clinic_id = new.clinic_id and id = new.id;
  return null;
end $$;
create trigger forget_reviews after update of erased on pair for each row when (new.erased and not old.erased)
  execute function forget_reviews();
