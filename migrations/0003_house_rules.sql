-- A clinic's departures from the shipped knowledge: each version is the whole list in force from then on.
create table house_rules (
  clinic_id uuid not null references clinic,
  version integer not null check (version > 0),
  changes jsonb not null,
  settings jsonb not null,
  note text not null,
  made_by text not null,
  made_at timestamptz not null default now(),
  primary key (clinic_id, version)
);

-- The rules of every edition that something was issued under, so that it can be replayed after both have moved on.
create table knowledge_edition (
  clinic_id uuid not null references clinic,
  edition text not null,
  rules jsonb not null,
  first_used_at timestamptz not null default now(),
  primary key (clinic_id, edition)
);

select build_wall(t) from unnest(array['house_rules', 'knowledge_edition']::regclass[]) t;
grant select, insert on house_rules, knowledge_edition to sovet_app;
create trigger append_only before update or delete on house_rules for each row execute function refuse_change();
create trigger append_only before update or delete on knowledge_edition for each row execute function refuse_change();
create index specification_by_time on specification (clinic_id, issued_at desc, id);
