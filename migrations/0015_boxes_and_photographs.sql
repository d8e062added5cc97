-- What the boxes on the shelf say; photographs of pairs that were only brought; a known length in a picture.

alter table shoe_model add column boxes jsonb not null default '{}';

alter table photograph
  alter column pair_id drop not null,
  add column visit_id uuid,
  -- Which of the pairs that were brought to that visit.
  add column brought text check (length(brought) <= 40),
  add column scale jsonb,
  add foreign key (clinic_id, visit_id) references visit,
  add check ((pair_id is null) = (visit_id is not null)),
  add check ((visit_id is null) = (brought is null));
create index photograph_by_visit on photograph (clinic_id, visit_id) where visit_id is not null;

create function forget_visit() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from photograph where clinic_id = new.clinic_id and visit_id = new.id;
  return null;
end $$;
create trigger forget_visit after update of erased on visit for each row when (new.erased and not old.erased)
  execute function forget_visit();
