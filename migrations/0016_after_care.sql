-- Breaking in on the patient's own days, what is answered of each outing, and sheets in plain words.

alter table clinic
  add column phone text not null default '' check (length(phone) <= 60),
  add column break_in_school text not null default 'home-trial'
    check (break_in_school in ('none', 'home-trial', 'short-first', 'alternate', 'race'));
grant update (phone, break_in_school) on clinic to sovet_app;

alter table pair
  -- What the plan was made of; the plan follows from it and from the answers.
  add column break_in jsonb,
  add column break_in_state text check (break_in_state in ('going', 'refit', 'stop'));
create index pair_by_break_in on pair (clinic_id, break_in_state)
  where ended_on is null and break_in_state in ('refit', 'stop');

create table outing_answer (
  clinic_id uuid not null references clinic,
  id uuid not null default gen_random_uuid(),
  pair_id uuid not null,
  answered_on date not null,
  felt text not null check (felt in ('fine', 'mild', 'severe')),
  gait_changed boolean not null default false,
  marks boolean not null default false,
  note text not null default '' check (length(note) <= 600),
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, id),
  -- One outing a day: a second answer of the same day puts the first right.
  unique (clinic_id, pair_id, answered_on),
  foreign key (clinic_id, pair_id) references pair
);
select build_wall('outing_answer');
select open_to_backup('outing_answer');
grant select, insert, update on outing_answer to sovet_app;

create or replace function forget_pair() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from inspection where clinic_id = new.clinic_id and pair_id = new.id;
  delete from photograph where clinic_id = new.clinic_id and pair_id = new.id;
  delete from outing_answer where clinic_id = new.clinic_id and pair_id = new.id;
  update pair set conditions = '{}', forecast = null, forecast_on = null, start_next_on = null, window_from = null,
    window_middle = null, window_to = null, break_in = null, break_in_state = null
    where clinic_id = new.clinic_id and id = new.id;
  return null;
end $$;

-- Sheets that were handed over before: the same words in the places of the new page.
update hand_over set sheet = jsonb_build_object(
  'edition', 2, 'language', 'en', 'phone', '',
  'patient', sheet->'patient', 'clinic', sheet->'clinic', 'shoe', sheet->'shoe', 'size', sheet->'size',
  'startedOn', sheet->'startedOn', 'reviewOn', sheet->'reviewOn', 'replaceBetween', sheet->'replaceBetween',
  'startNextOn', sheet->'startNextOn', 'values', sheet->'values',
  'points', (select coalesce(jsonb_agg(jsonb_build_object('feature', null,
      'text', (one->>'what') || ': ' || (one->>'wanted') || '. ' || (one->>'why'))), '[]'::jsonb)
    from jsonb_array_elements(sheet->'features') as one),
  'roomMm', '{"least": 10, "most": 15}'::jsonb,
  'howItFits', sheet->'howItFits', 'changes', coalesce(sheet->'changes', '[]'::jsonb),
  'lacing', jsonb_build_object('kind', 'closure', 'steps', jsonb_build_array(
    (sheet#>>'{lacing,name}') || ': ' || (sheet#>>'{lacing,how}') || ' (' || (sheet#>>'{lacing,because}') || ')')),
  'breakIn', jsonb_build_object('weeks', '[]'::jsonb, 'lines',
    (select coalesce(jsonb_agg((one->>'on') || ': ' || (one->>'do') || ' ' || (one->>'check')), '[]'::jsonb)
      from jsonb_array_elements(sheet->'breakIn') as one)),
  'skin', '[]'::jsonb, 'care', sheet->'care',
  'dates', jsonb_build_array(sheet->>'bringAlong'),
  'stopAndCall', sheet->'stopAndCall', 'again', coalesce(sheet->'again', 'null'::jsonb), 'shop', '[]'::jsonb,
  'caution', sheet->'caution')
where sheet ? 'features';
