-- The recall list may be remembered for as long as nothing changes of what it is read from: each change is told, when it is committed,
-- to whoever listens; once for a clinic, however many rows it touches.
create function tell_of_recall() returns trigger language plpgsql as $$
begin
  perform pg_notify('recall', clinic_id::text) from (select distinct clinic_id from changed) as whose;
  return null;
end $$;

do $$
declare
  source text;
begin
  foreach source in array array['patient', 'pair', 'outcome', 'home_report', 'visit', 'shoe_order', 'contact_try', 'consent', 'shoe_model'] loop
    execute format('create trigger recall_gains after insert on %I referencing new table as changed for each statement execute function tell_of_recall()', source);
    execute format('create trigger recall_changes after update on %I referencing new table as changed for each statement execute function tell_of_recall()', source);
    execute format('create trigger recall_loses after delete on %I referencing old table as changed for each statement execute function tell_of_recall()', source);
  end loop;
end $$;

-- Of the steps of a visit only how far they came is shown, not each save; of a seat only its name.
create function tell_of_recall_row() returns trigger language plpgsql as $$
begin
  perform pg_notify('recall', new.clinic_id::text);
  return null;
end $$;
create trigger recall_gains after insert on visit_step for each row execute function tell_of_recall_row();
create trigger recall_changes after update on visit_step
  for each row when (old.state is distinct from new.state) execute function tell_of_recall_row();
create trigger recall_changes after update on auth."user"
  for each row when (old.name is distinct from new.name) execute function tell_of_recall_row();
