-- How far batches lie apart is told from the latest pairs whose box was read, however many there are; each is held against the fitting of
-- the visit that handed it over.
create index pair_by_batch on pair (clinic_id, started_on desc) where batch is not null;
create index hand_over_by_pair on hand_over (clinic_id, pair_id);
