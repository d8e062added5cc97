-- The list of patients page by page: each begins after the last name of the one before it.
drop index patient_by_name;
create index patient_by_name on patient (clinic_id, family_name, given_name, id);
