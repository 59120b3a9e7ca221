-- Movements are the truth of the stores. Amounts are exact; each says why, and for which weld; each begins where the last of
-- its item ended; and every event carries the hash of the one before it, so that a row that is gone or changed shows.

drop view stock_history;
alter table stock_item alter column amount type numeric using amount::text::numeric;

-- What a movement is for, its writer says for the transaction; who says nothing has counted.
create function movement_said() returns jsonb language sql stable as $$
  select coalesce(nullif(current_setting('brannik.movement', true), ''), '{"reason": "counted"}')::jsonb
$$;
create or replace function stock_counted() returns trigger language plpgsql as $$
begin
  insert into event (who, type, subject, body, key, corrects)
  select current_who(), 'stock-movement', id,
    movement_said() || jsonb_build_object('version', version, 'before', null, 'after', amount),
    nullif(current_setting('brannik.event_key', true), ''),
    nullif(current_setting('brannik.event_corrects', true), '')::bigint
  from changed order by id;
  return null;
end
$$;
create or replace function stock_moved() returns trigger language plpgsql as $$
begin
  insert into event (who, type, subject, body, key, corrects)
  select current_who(), 'stock-movement', changed.id,
    movement_said() || jsonb_build_object('version', changed.version, 'before', was.amount, 'after', changed.amount),
    nullif(current_setting('brannik.event_key', true), ''),
    nullif(current_setting('brannik.event_corrects', true), '')::bigint
  from changed join was using (id) order by changed.id;
  return null;
end
$$;

-- The chain of all events.
alter table event add column hash bytea;
create function event_hash(previous bytea, e event) returns bytea language sql stable as $$
  select sha256(coalesce(previous, ''::bytea) || convert_to(jsonb_build_array(
    e.seq, to_char(e.at at time zone 'UTC', 'YYYY-MM-DD HH24:MI:SS.US'), e.who, e.actor_id, e.actor_kind, e.type,
    e.subject, e.body, e.key, e.corrects)::text, 'UTF8'))
$$;
alter table event disable trigger only_grows;
do $$
declare
  e event;
  previous bytea;
begin
  for e in select * from event order by seq loop
    previous := event_hash(previous, e);
    update event set hash = previous where seq = e.seq;
  end loop;
end
$$;
alter table event enable trigger only_grows;
alter table event alter column hash set not null;

-- Writers of events take turns, so that the last one is the last one.
create function chain_event() returns trigger language plpgsql as $$
begin
  new.hash := event_hash((select e.hash from event e order by e.seq desc limit 1), new);
  return new;
end
$$;
create trigger chain_event before insert on event for each row execute function chain_event();

-- A movement begins where the one before it ended: nothing comes or goes beside the ledger.
create function follow_movement() returns trigger language plpgsql as $$
declare
  was numeric;
begin
  select (e.body ->> 'after')::numeric into was from event e
    where e.subject = new.subject and e.type = 'stock-movement' order by e.seq desc limit 1;
  if was is distinct from (new.body ->> 'before')::numeric then
    raise exception 'the ledger of % ends with %, and a movement begins with %', new.subject, was, new.body ->> 'before';
  end if;
  return new;
end
$$;
create trigger follow_movement before insert on event
  for each row when (new.type = 'stock-movement') execute function follow_movement();

create view stock_movement as
  select seq, at, who, actor_id, actor_kind, subject as item, (body ->> 'before')::numeric as before,
    (body ->> 'after')::numeric as after,
    coalesce((body ->> 'after')::numeric, 0) - coalesce((body ->> 'before')::numeric, 0) as change,
    coalesce(body ->> 'reason', 'counted') as reason, body ->> 'jobId' as job_id, body ->> 'weldId' as weld_id,
    body ->> 'other' as other, body ->> 'note' as note, (body ->> 'version')::integer as version, key, corrects
  from event where type = 'stock-movement';
-- What the ledger says is there; null where the last that was said is that nobody knows.
create view stock_balance as
  select item, case when (array_agg(after order by seq desc))[1] is not null then sum(change) end as amount,
    count(*) as movements, max(at) filter (where reason = 'counted') as counted_at
  from stock_movement group by item;
-- What was used for a job, less what came back. A correction counts with what it corrects.
create view stock_used as
  select m.job_id, m.item, -sum(m.change) as amount from stock_movement m
  where m.job_id is not null and m.reason in ('used', 'returned', 'corrected') group by m.job_id, m.item;
create index event_of_job on event ((body ->> 'jobId'), seq)
  where type = 'stock-movement' and body ->> 'jobId' is not null;

create view stock_history as
  select 'stock' as kind, item as id, version, jsonb_build_object('id', item, 'amount', after) as body, at, who,
    actor_id, actor_kind, 1 as schema_version
  from stock_movement;

-- A row whose hash does not follow from the one before it: something was taken away or changed in front of it.
create view event_break as
  select one.seq from (select e as row, e.seq, lag(e.hash) over (order by e.seq) as previous from event e) one
  where (one.row).hash is distinct from event_hash(one.previous, one.row);
