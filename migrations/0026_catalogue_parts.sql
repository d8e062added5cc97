-- A catalogue goes to the browser in parts, and of those only what changed goes again. What a model holds, as a number: it follows from the
-- content alone, so that a database that was restored never gives an old number to other content.
alter table shoe_model add column digest bigint generated always as (
  hashtextextended(
    id::text || maker || chr(10) || name || chr(10) || version || chr(10) || features::text || sizing::text || stock::text || boxes::text
      || coalesce(price::text, '') || status || coalesce(replaces::text, ''), 0)
) stored;
-- The numbers of a whole catalogue are read from here alone.
create index shoe_model_by_digest on shoe_model (clinic_id, id) include (digest, status);
-- The first page of the list, without reading and sorting the rest.
create index shoe_model_by_title on shoe_model (clinic_id, status, maker collate "C", name collate "C", version collate "C");
