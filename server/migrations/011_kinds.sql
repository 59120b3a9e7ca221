-- Which kinds of record there are is said once, in the program: the server writes them here when it starts, and a new
-- kind needs no migration.

create table record_kind (
  kind text primary key,
  -- Whether there is a count of each.
  is_counted boolean not null,
  unique (kind, is_counted)
);
insert into record_kind (kind, is_counted) select distinct kind, false from record;
insert into record_kind (kind, is_counted) select distinct split_part(id, '.', 1), true from stock_item
  on conflict (kind) do update set is_counted = true;

alter table record drop constraint record_kind_check;
alter table record add foreign key (kind) references record_kind;

alter table stock_item drop constraint stock_item_id_check;
alter table stock_item add check (id ~ '^[a-z][a-z-]*\.[a-z0-9][a-z0-9-]{0,63}$');
alter table stock_item
  add column kind text not null generated always as (split_part(id, '.', 1)) stored,
  add column is_counted boolean not null generated always as (true) stored,
  add foreign key (kind, is_counted) references record_kind (kind, is_counted);
