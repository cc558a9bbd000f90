-- The window that a swath is looked at in: days, or words ('last60', 'settled') that are worked out when it is looked at; null: the usual one.
alter table mowing.swath add column window_from text, add column window_to text;
