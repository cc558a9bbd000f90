-- Bales of accounts that are fed by files: carried out by hand on a day, at once or as an import of bids confirms it ('awaiting').
alter table mowing.bale add column carried_on date;
alter table mowing.bale drop constraint bale_state_check;
alter table mowing.bale add constraint bale_state_check check (state in ('sending', 'awaiting', 'done'));
