-- Who is signed in may be remembered for as long as nothing about them changes: each change of a session, a seat or a clinic's sign-in
-- is told to whoever listens, when it is committed.
create function auth.tell_of_account() returns trigger language plpgsql as $$
begin
  perform pg_notify('sign_in', coalesce(to_jsonb(old) ->> tg_argv[0], old.id));
  if tg_op = 'UPDATE' then perform pg_notify('sign_in', coalesce(to_jsonb(new) ->> tg_argv[0], new.id)); end if;
  return null;
end $$;
create trigger tell_of_session after update or delete on auth.session
  for each row execute function auth.tell_of_account('userId');
create trigger tell_of_seat after update or delete on auth."user"
  for each row execute function auth.tell_of_account('person_of');
-- A seat that is new counts among the seats of its person.
create function auth.tell_of_new_seat() returns trigger language plpgsql as $$
begin
  perform pg_notify('sign_in', new.person_of);
  return null;
end $$;
create trigger tell_of_new_seat after insert on auth."user"
  for each row when (new.person_of is not null) execute function auth.tell_of_new_seat();

create function tell_of_clinic() returns trigger language plpgsql as $$
begin
  perform pg_notify('sign_in', old.clinic_id::text);
  return null;
end $$;
create trigger tell_of_clinic after update of formats, second_factor_required or delete on clinic
  for each row execute function tell_of_clinic();
