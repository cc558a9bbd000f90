-- Removes an account with everything that belongs to it.
create function mowing.delete_account(id integer) returns void language sql as $$
  delete from mowing.term_day where account_id = id;
  delete from mowing.target_day where account_id = id;
  delete from mowing.placement_day where account_id = id;
  delete from mowing.campaign_hour where account_id = id;
  delete from mowing.product_day where account_id = id;
  delete from mowing.rank_day where account_id = id;
  delete from mowing.term where account_id = id;
  delete from mowing.change where account_id = id;
  delete from mowing.ad where account_id = id;
  update mowing.ad_group set product_id = null where account_id = id;
  delete from mowing.product where account_id = id;
  delete from mowing.account where account_id = id;
$$;
