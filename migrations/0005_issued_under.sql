-- Which version of the clinic's house rules a specification was issued under: a column of its own, so that nobody has to
-- take the name of an edition apart.
alter table specification add column house_version integer not null default 0;
alter table specification disable trigger append_only;
update specification set house_version = split_part(result->>'knowledge', '+house.', 2)::integer
  where result->>'knowledge' like '%+house.%';
alter table specification enable trigger append_only;
