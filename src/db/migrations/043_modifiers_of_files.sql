-- Whether it was ever told what a campaign's placement modifiers are. Reports by day name campaigns without them: 0 is no answer then.
alter table mowing.campaign add column modifiers_known boolean not null default true;

update mowing.campaign c set modifiers_known = false
where c.top_modifier = 0 and c.rest_modifier = 0 and c.pages_modifier = 0 and c.state <> 'draft'
  and exists (select from mowing.account a where a.account_id = c.account_id and a.market_id is null);
