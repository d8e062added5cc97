-- What the operator's commands leave behind, so that a lead sees on a screen when the last backup was made.
create table operations_note (
  id bigint generated always as identity primary key,
  at timestamptz not null default now(),
  kind text not null check (kind in ('backup', 'restore')),
  what text not null
);
alter table operations_note enable row level security;
alter table operations_note force row level security;
create policy operating on operations_note to sovet_auth using (true) with check (true);
grant select, insert on operations_note to sovet_auth;
select open_to_backup('operations_note');
