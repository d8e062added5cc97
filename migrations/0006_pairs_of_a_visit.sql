-- A visit may end with several pairs, each for its own purpose: what is issued names the purpose it is for, and is issued
-- once. Null: the visit asked for one pair only, or was issued before purposes were told apart.
alter table specification add column purpose text;
alter table hand_over drop constraint hand_over_clinic_id_visit_id_key;
alter table hand_over add constraint hand_over_once unique (clinic_id, specification_id);
create index hand_over_by_visit on hand_over (clinic_id, visit_id);
create unique index specification_once_a_purpose on specification (clinic_id, visit_id, coalesce(purpose, ''));
