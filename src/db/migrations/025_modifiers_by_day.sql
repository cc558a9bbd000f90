-- How far bids go down so that a campaign's clicks cost its budget is solved with the bids: nothing of the round before is needed for it.
alter table mowing.campaign drop column held;
alter table mowing.change drop column held;
