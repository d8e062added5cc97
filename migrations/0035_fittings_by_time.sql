-- What a clinic's fittings have taught is learned on from the latest; how many there are is counted in the same index.
create index fitting_by_time on fitting (clinic_id, fitted_at);
