-- Nobody's week of answers is read and sorted to show the first dozen: whose week ends first was asked first, and the index is in that order.
do $$
declare
  before text := pg_get_functiondef('recall_due(date, uuid, text[], integer)'::regprocedure);
  after text := replace(before, 'order by it.answers_due_on limit', 'order by it.answers_until limit');
begin
  if after = before then raise exception 'recall_due is not as it was left'; end if;
  execute after;
end $$;

-- The list as it is shown, planned once for a connection. Whose names it may give, the wall decides: it runs as whoever asks.
create function recall_list(today date, at_site uuid, kinds text[], most integer)
  returns table (
    kind text, patient_id uuid, about_on text, visit_id uuid, said jsonb, maker text, model text, version text,
    given_name text, family_name text, born_on date, phone text, email text, address text, contact_by text,
    consents jsonb, tried text, tried_at timestamptz, tried_by text)
  language plpgsql stable rows 100 set plan_cache_mode = force_generic_plan as $$
#variable_conflict use_column
begin
  return query
  select due.kind, due.patient_id, due.about_on::text, due.visit_id, due.said, made.maker, made.name, made.version,
      whose.given_name, whose.family_name, whose.born_on, whose.phone, whose.email, whose.address, whose.contact_by,
      coalesce(agreed.noted, '[]'), latest.way, latest.made_at, tryer.name
    from recall_due(today, at_site, kinds, most) as due
      -- One by one: two hundred names are no reason to read every patient.
      join lateral (select * from patient where patient.clinic_id = current_clinic() and patient.id = due.patient_id
        offset 0) as whose on true
      left join lateral (select shoe_model.maker, shoe_model.name, shoe_model.version from shoe_model
        where shoe_model.clinic_id = current_clinic() and shoe_model.id = due.model_id offset 0) as made on true
      left join lateral (select jsonb_agg(
        jsonb_build_object('kind', consent.kind, 'givenOn', consent.given_on, 'withdrawnOn', consent.withdrawn_on)) as noted from consent
        where consent.clinic_id = current_clinic() and consent.patient_id = due.patient_id and consent.kind = 'contact') as agreed on true
      left join lateral (select way, made_at, made_by from contact_try
        where contact_try.clinic_id = current_clinic() and contact_try.patient_id = due.patient_id
          and contact_try.kind = due.kind and contact_try.about_on = due.about_on order by made_at desc limit 1) as latest on true
      left join auth."user" as tryer on tryer.id = latest.made_by
    order by array_position(kinds, due.kind), due.about_on, due.patient_id;
end $$;
revoke execute on function recall_list(date, uuid, text[], integer) from public;
grant execute on function recall_list(date, uuid, text[], integer) to sovet_app;
