-- Facts are written by the hundred thousand: looking their account up for each row took longer than writing it. Removing an account removes
-- them by hand.
alter table quaymarket.term_day drop constraint term_day_account_id_fkey;
alter table quaymarket.target_day drop constraint target_day_account_id_fkey;
alter table quaymarket.campaign_hour drop constraint campaign_hour_account_id_fkey;
alter table quaymarket.product_day drop constraint product_day_account_id_fkey;
alter table quaymarket.rank_day drop constraint rank_day_account_id_fkey;
alter table quaymarket.late_order drop constraint late_order_account_id_fkey;
