-- What is there of a thing is no part of its record: a count, and a movement for every change of it.

create table stock_item (
  -- the kind and id of the thing: wire.er70s6-035. A thing that is deleted and comes back has its count still.
  id text primary key check (id ~ '^(part|wire|gas|tungsten)\.[a-z0-9][a-z0-9-]{0,63}$'),
  -- g of wire, L of gas, pieces of the others; null: nobody has counted
  amount double precision check (amount >= 0),
  version integer not null default 1 check (version >= 1)
);

create table stock_movement (
  id text not null,
  version integer not null,
  before double precision,
  after double precision,
  at timestamptz not null default clock_timestamp(),
  who text not null,
  primary key (id, version)
);
create index stock_movement_at on stock_movement (at desc);
create trigger only_grows before update or delete on stock_movement
  for each row execute function refuse_change();
create trigger only_grows_whole before truncate on stock_movement
  for each statement execute function refuse_change();

create function move_stock() returns trigger language plpgsql as $$
begin
  insert into stock_movement (id, version, before, after, who)
    values (new.id, new.version, case when tg_op = 'UPDATE' then old.amount end, new.amount, current_who());
  return null;
end
$$;
create trigger move_stock after insert or update on stock_item for each row execute function move_stock();

-- Told like changes of records, and counted for the lists.
create function tell_counted() returns trigger language plpgsql as $$
begin
  if (select count(*) from changed) = 0 then return null; end if;
  insert into kind_revision (kind, part) values ('stock', pg_backend_pid() % 16)
    on conflict (kind, part) do update set revision = kind_revision.revision + 1;
  if (select count(*) from changed) > 100 then
    perform pg_notify('brannik_change', '{"kind": "stock"}');
  else
    perform pg_notify('brannik_change', json_build_object('kind', 'stock', 'id', id, 'version', version)::text)
      from changed;
  end if;
  return null;
end
$$;
create trigger tell_inserted after insert on stock_item
  referencing new table as changed for each statement execute function tell_counted();
create trigger tell_updated after update on stock_item
  referencing new table as changed for each statement execute function tell_counted();

-- What records said of themselves until now. The records lose it when the server carries them up.
insert into stock_item (id, amount)
select kind || '.' || id, (body ->> field)::double precision
from record join (values ('part', 'stock'), ('wire', 'stockG'), ('gas', 'leftL'), ('tungsten', 'stock'))
  as told (of_kind, field) on of_kind = kind
where body ->> field is not null;

-- Movements as the history of records is read.
create view stock_history as
  select 'stock' as kind, id, version, jsonb_build_object('id', id, 'amount', after) as body, at, who,
    1 as schema_version
  from stock_movement;
