-- A pair in its own clock: hours, hours on the feet or days where distance says little; when it was made; why it was retired.

alter table pair
  -- In the unit of its clock, where that is not kilometres.
  add column weekly_use double precision check (weekly_use >= 0),
  add column made_on date,
  add column ended_because text check (ended_because in ('worn-out', 'hurt', 'lost', 'other'));

alter table pair_log add column amount double precision check (amount >= 0);
