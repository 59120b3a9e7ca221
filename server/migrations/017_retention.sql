-- History and audit may be thinned by rule, and by nothing else: these functions run as the owner of the tables, and the
-- server itself may not delete from them. The last state of each record on each day of the shop always stays, and so do
-- what was deleted and what it was before.
create index record_history_at on record_history (at);
create index audit_at on audit (at);

create or replace function refuse_change() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' and current_setting('brannik.retention', true) = 'on' then
    return old;
  end if;
  raise exception 'the table % only grows: rows are never changed or taken away', tg_table_name;
end
$$;

-- Up to when each rule has been through.
create table retention_mark (
  rule text primary key,
  until timestamptz not null
);

create function shop_zone() returns text language sql stable as $$
  select coalesce((select z.name from record r join pg_timezone_names z on z.name = r.body ->> 'timeZone'
    where r.kind = 'shop' limit 1), 'UTC')
$$;

-- One day of the history, the oldest that the rule has not been through.
-- minutes: saves of one actor closer to each other than this become one, the last; 0: only the last of each day stays.
-- days: how old it must be. Answers how many rows went; null where there is no such day yet.
create function thin_history(rule text, minutes integer, days integer) returns bigint
language plpgsql security definer set search_path = public, pg_temp as $$
declare
  zone constant text := shop_zone();
  began timestamptz;
  ends timestamptz;
  gone bigint;
begin
  if minutes < 0 or days < 1 then raise exception 'no such rule'; end if;
  select until into began from retention_mark m where m.rule = thin_history.rule for update;
  if not found then select min(at) into began from record_history; end if;
  if began is null then return null; end if;
  ends := (date_trunc('day', began at time zone zone) + interval '1 day') at time zone zone;
  if ends > now() - make_interval(days => days) then return null; end if;
  perform set_config('brannik.retention', 'on', true);
  delete from record_history h using (
      select ctid as place, at, body is null as deleted, who, actor_id,
        lead(at) over each as next_at, lead(body is null) over each as next_deleted,
        lead(who) over each as next_who, lead(actor_id) over each as next_actor_id
      from record_history where at >= began and at < ends
      window each as (partition by kind, id order by version)
    ) one
    where h.ctid = one.place and not one.deleted and not one.next_deleted
      and (minutes = 0 or (one.next_at - one.at <= make_interval(mins => minutes)
        and one.next_who = one.who and one.next_actor_id is not distinct from one.actor_id));
  get diagnostics gone = row_count;
  perform set_config('brannik.retention', '', true);
  -- Days without a row are stepped over.
  insert into retention_mark values (thin_history.rule,
      greatest(ends, coalesce((select min(at) from record_history where at >= ends), ends)))
    on conflict on constraint retention_mark_pkey do update set until = excluded.until;
  return gone;
end
$$;

create function forget_audit(days integer) returns bigint
language plpgsql security definer set search_path = public, pg_temp as $$
declare gone bigint;
begin
  if days < 365 then raise exception 'what was done is kept for a year at least'; end if;
  perform set_config('brannik.retention', 'on', true);
  delete from audit where at < now() - make_interval(days => days);
  get diagnostics gone = row_count;
  perform set_config('brannik.retention', '', true);
  return gone;
end
$$;
revoke execute on function thin_history(text, integer, integer), forget_audit(integer) from public;
