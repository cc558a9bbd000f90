-- Budgets as they stood on each day: today's must not judge the days before it. A row holds from its day on, until the next one.
create table mowing.budget_day (
  account_id   integer not null references mowing.account on delete cascade,
  campaign_id  integer not null,
  day          date not null,
  -- Null: no daily budget.
  budget_micros bigint,
  primary key (account_id, campaign_id, day),
  foreign key (account_id, campaign_id) references mowing.campaign on delete cascade
);

-- What was changed from here before: the first of a campaign's changes tells what stood until then.
insert into mowing.budget_day
select distinct on (account_id, campaign_id) account_id, campaign_id, date '2000-01-01', was
from (
  select c.account_id, (c.change->>'campaignId')::integer as campaign_id, (c.change->>'from')::bigint as was, c.answered_on, c.change_id
  from mowing.change c where c.kind = 'set-budget' and c.state = 'accepted'
) s
join mowing.campaign using (account_id, campaign_id)
where was is not null
order by account_id, campaign_id, answered_on, change_id;

insert into mowing.budget_day
select distinct on (account_id, campaign_id, answered_on) account_id, campaign_id, answered_on, became
from (
  select c.account_id, (c.change->>'campaignId')::integer as campaign_id, (c.change->>'to')::bigint as became, c.answered_on, c.change_id
  from mowing.change c where c.kind = 'set-budget' and c.state = 'accepted'
) s
join mowing.campaign using (account_id, campaign_id)
order by account_id, campaign_id, answered_on, change_id desc;

-- However a budget comes to be another one (sent from here, set on the market, imported), the day is kept.
create function mowing.keep_budget_day() returns trigger language plpgsql as $$
declare
  today date := coalesce((select market_day from mowing.account where account_id = new.account_id), current_date);
  was bigint := case when old.budget_kind = 'daily' then old.budget_micros end;
  becomes bigint := case when new.budget_kind = 'daily' then new.budget_micros end;
begin
  insert into mowing.budget_day values (new.account_id, new.campaign_id, date '2000-01-01', was)
  on conflict do nothing;
  insert into mowing.budget_day values (new.account_id, new.campaign_id, today, becomes)
  on conflict (account_id, campaign_id, day) do update set budget_micros = excluded.budget_micros;
  return null;
end $$;

create trigger campaign_keeps_budget_day after update of budget_micros, budget_kind on mowing.campaign
for each row when (old.budget_micros is distinct from new.budget_micros or old.budget_kind is distinct from new.budget_kind)
execute function mowing.keep_budget_day();
