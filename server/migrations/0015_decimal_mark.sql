-- How the shop writes its numbers.
alter table shop_cards add column decimal_mark text not null default '.' check (decimal_mark in ('.', ','));
