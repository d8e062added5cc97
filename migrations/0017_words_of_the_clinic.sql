-- Sheets in the patient's language and in the clinic's own words; what was looked at after a stop.

alter table patient add column language text not null default 'en' check (length(language) between 2 and 35);

-- A clinic's own sentences: in the place of one that ships, or of a language that it adds.
create table house_text (
  clinic_id uuid not null references clinic,
  language text not null check (length(language) between 2 and 35),
  key text not null check (length(key) <= 80),
  text text not null check (length(text) between 1 and 400),
  changed_by text not null,
  changed_at timestamptz not null default now(),
  primary key (clinic_id, language, key)
);
select build_wall('house_text');
select open_to_backup('house_text');
grant select, insert, update, delete on house_text to sovet_app;

alter table outing_answer
  -- A clinician looked at what this outing did, and the pair may go on.
  add column seen boolean not null default false;

create or replace function forget_week() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from week_plan where clinic_id = new.clinic_id and patient_id = new.id;
  update patient set language = 'en' where clinic_id = new.clinic_id and id = new.id;
  return null;
end $$;

-- Sheets from before keep their headings with them, as they stood.
update hand_over set sheet = sheet || jsonb_build_object(
  'breakIn', (sheet->'breakIn') || jsonb_build_object('weeks', (
    select coalesce(jsonb_agg(week || jsonb_build_object(
      'fromInWords', to_char((week->>'from')::date, 'FMDD FMMonth YYYY')) order by at), '[]'::jsonb)
    from jsonb_array_elements(sheet#>'{breakIn,weeks}') with ordinality as weeks(week, at))),
  'edition', 3, 'direction', 'ltr', 'among', null,
  'words', '{"why": "What matters in this pair, and why", "nothingSpecial": "Nothing special. A plain pair that fits is right for you.", "among": "This pair among its kinds", "soft": "soft", "firm": "firm", "bends": "bends", "stiff": "stiff", "thisPair": "this pair", "fit": "How it should fit", "changes": "Changed for you", "lacing": "Lacing", "lacingView": "Seen as you look down on the foot. Row 1 is near the toes.", "inner": "big toe", "outer": "little toe", "closing": "Closing it", "breakIn": "Getting used to it", "socks": "Socks and skin", "care": "Looking after it", "dates": "When to come back", "shop": "Buying another pair elsewhere? Four checks with your hands", "card": "For buying elsewhere", "stop": "Stop wearing it and call us, or urgent care, if", "left": "Left shoe", "right": "Right shoe"}'::jsonb || jsonb_build_object(
    'title', 'Your shoe: ' || (sheet->>'shoe'),
    'size', 'Size ' || (sheet->>'size'),
    'for', 'for ' || (sheet->>'patient') || ', ' || to_char((sheet->>'startedOn')::date, 'FMDD FMMonth YYYY'),
    'ruler', 'This bar is ' || (sheet#>>'{roomMm,most}') || ' mm long when the page is printed at full size.',
    'call', case when sheet->>'phone' = '' then '' else 'Our number: ' || (sheet->>'phone') end,
    'firstUse', 'First worn ' || to_char((sheet->>'startedOn')::date, 'FMDD FMMonth YYYY')))
where sheet->>'edition' = '2';
