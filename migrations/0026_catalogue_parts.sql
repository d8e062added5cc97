-- A catalogue goes to the browser in parts, and of those only what changed goes again: every change of a model gives it a new number.
create sequence shoe_model_revision;
alter table shoe_model add column revision bigint not null default nextval('shoe_model_revision');
create function shoe_model_changed() returns trigger language plpgsql as $$
begin
  new.revision := nextval('shoe_model_revision');
  return new;
end $$;
create trigger shoe_model_changed before update on shoe_model for each row execute function shoe_model_changed();
grant usage on sequence shoe_model_revision to sovet_app;
-- Numbers of a whole catalogue are read from here alone.
create index shoe_model_by_revision on shoe_model (clinic_id, id) include (revision, status);
-- The first page of the list, without reading and sorting the rest.
create index shoe_model_by_title on shoe_model (clinic_id, status, maker collate "C", name collate "C", version collate "C");
