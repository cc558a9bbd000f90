-- A key of one account means nothing to another: so that bales can be spread by account.
alter table mowing.bale drop constraint bale_idempotency_key_key;
alter table mowing.bale add constraint bale_idempotency_key unique (account_id, idempotency_key);
