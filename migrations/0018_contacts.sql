-- Until when a new pair may go back, for Today and the calendar.

alter table pair add column return_by date;
create index pair_by_return on pair (clinic_id, return_by) where ended_on is null and return_by is not null;

create or replace function forget_pair() returns trigger language plpgsql security definer set search_path = pg_catalog, public as $$
begin
  delete from inspection where clinic_id = new.clinic_id and pair_id = new.id;
  delete from photograph where clinic_id = new.clinic_id and pair_id = new.id;
  delete from outing_answer where clinic_id = new.clinic_id and pair_id = new.id;
  update pair set conditions = '{}', forecast = null, forecast_on = null, start_next_on = null, window_from = null,
    window_middle = null, window_to = null, break_in = null, break_in_state = null, return_by = null
    where clinic_id = new.clinic_id and id = new.id;
  return null;
end $$;
