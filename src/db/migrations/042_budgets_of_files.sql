-- A budget that a file told has no kind where the file has no column for it: it is one a day, as everywhere in the trade. Of the days before it
-- was first told nothing is known, least of all that there was none.
create or replace function mowing.keep_budget_day() returns trigger language plpgsql as $$
declare
  today date := coalesce((select market_day from mowing.account where account_id = new.account_id), current_date);
  was bigint := case when old.budget_kind = 'daily' then old.budget_micros end;
  becomes bigint := case when new.budget_kind = 'daily' then new.budget_micros end;
begin
  if old.budget_kind is null then return null; end if;
  insert into mowing.budget_day values (new.account_id, new.campaign_id, date '2000-01-01', was)
  on conflict do nothing;
  insert into mowing.budget_day values (new.account_id, new.campaign_id, today, becomes)
  on conflict (account_id, campaign_id, day) do update set budget_micros = excluded.budget_micros;
  return null;
end $$;

update mowing.campaign c set budget_kind = 'daily'
where c.budget_kind is null and c.budget_micros is not null
  and exists (select from mowing.account a where a.account_id = c.account_id and a.market_id is null);
