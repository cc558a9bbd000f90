-- Campaigns and ad groups that are staged to be made: they have a place here before the market knows them.
alter table mowing.campaign drop constraint campaign_state_check;
alter table mowing.campaign add constraint campaign_state_check check (state in ('enabled', 'paused', 'archived', 'draft'));
alter table mowing.ad_group drop constraint ad_group_state_check;
alter table mowing.ad_group add constraint ad_group_state_check check (state in ('enabled', 'paused', 'archived', 'draft'));
