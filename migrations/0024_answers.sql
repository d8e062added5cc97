-- Answers of a break-in are missed until its plan is done: by that day few are left to look at, by the day of the last answer all that
-- ever were would be.
drop index pair_by_answers;
create index pair_by_answers on pair (clinic_id, answers_until)
  where ended_on is null and break_in_state = 'going' and answers_until is not null;
