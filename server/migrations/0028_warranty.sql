-- What the shop stands for, in its own words, on the papers that a customer is given.
alter table shop_cards add column warranty text not null default '';
