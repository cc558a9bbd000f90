-- Which change undoes another, and which waits for another, is asked of every change of a long list.
create index change_by_undone on mowing.change (account_id, undoes_change_id) where undoes_change_id is not null;
create index change_by_after on mowing.change (account_id, after_change_id) where after_change_id is not null;
