-- The list of patients page by page: each begins after the last name of the one before it.
drop index patient_by_name;
create index patient_by_name on patient (clinic_id, family_name, given_name, id);
-- Orders that have ended, latest first, page by page.
create index shoe_order_by_day on shoe_order (clinic_id, created_at desc, id desc);
