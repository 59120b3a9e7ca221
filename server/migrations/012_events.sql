-- What happens is a row that nobody changes: one table for every type of happening, in one order. Whoever has seen an
-- event has seen all before it: writers of events take turns until they commit, so that numbers rise in the order in
-- which they can be seen.

create table event (
  seq bigint generated always as identity primary key,
  at timestamptz not null default clock_timestamp(),
  who text not null,
  type text not null,
  subject text not null,
  body jsonb not null,
  -- The writer's own name for it: told twice, it happened once, however much later.
  key text check (length(key) between 1 and 200),
  corrects bigint references event
);
create unique index event_key on event (who, key) where key is not null;
create index event_of_subject on event (subject, seq);
create index event_of_type on event (type, seq);
create trigger only_grows before update or delete on event for each row execute function refuse_change();
create trigger only_grows_whole before truncate on event for each statement execute function refuse_change();

create function take_event_turn() returns trigger language plpgsql as $$
begin
  perform pg_advisory_xact_lock(4870002);
  return null;
end
$$;
create trigger take_turn before insert on event for each statement execute function take_event_turn();

-- Told in the stream of changes by the first of them; whoever listens asks for all from there on.
create function tell_event() returns trigger language plpgsql as $$
begin
  insert into change_log (kind, id) select 'event', min(seq)::text from happened having min(seq) is not null;
  return null;
end
$$;
create trigger tell_event after insert on event
  referencing new table as happened for each statement execute function tell_event();

-- Movements of the stock are the first type.
insert into event (at, who, type, subject, body)
select at, who, 'stock-movement', id, jsonb_build_object('version', version, 'before', before, 'after', after)
from stock_movement order by at, id, version;

drop view stock_history;
create view stock_history as
  select 'stock' as kind, subject as id, (body ->> 'version')::integer as version,
    jsonb_build_object('id', subject, 'amount', body -> 'after') as body, at, who, 1 as schema_version
  from event where type = 'stock-movement';

drop trigger move_stock on stock_item;
drop function move_stock();
drop table stock_movement;

-- What the movement is called and corrects, its writer says for the transaction.
create function stock_counted() returns trigger language plpgsql as $$
begin
  insert into event (who, type, subject, body, key, corrects)
  select current_who(), 'stock-movement', id,
    jsonb_build_object('version', version, 'before', null, 'after', amount),
    nullif(current_setting('brannik.event_key', true), ''),
    nullif(current_setting('brannik.event_corrects', true), '')::bigint
  from changed order by id;
  return null;
end
$$;
create function stock_moved() returns trigger language plpgsql as $$
begin
  insert into event (who, type, subject, body, key, corrects)
  select current_who(), 'stock-movement', changed.id,
    jsonb_build_object('version', changed.version, 'before', was.amount, 'after', changed.amount),
    nullif(current_setting('brannik.event_key', true), ''),
    nullif(current_setting('brannik.event_corrects', true), '')::bigint
  from changed join was using (id) order by changed.id;
  return null;
end
$$;
create trigger stock_counted after insert on stock_item
  referencing new table as changed for each statement execute function stock_counted();
create trigger stock_moved after update on stock_item
  referencing old table as was new table as changed for each statement execute function stock_moved();
-- The turn comes before the rows: two writers never hold one each and wait for the other.
create trigger take_turn before insert or update on stock_item for each statement execute function take_event_turn();
