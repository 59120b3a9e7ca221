-- A page that was away is told what it missed instead of fetching everything again: every change stays on record for a
-- day. Rows are not numbered: a transaction that takes its number first may commit last, and a page that has seen the
-- higher number would never hear of it. The transaction's own id together with the oldest one that is still running says
-- what has been told for certain.

create table change_log (
  tx xid8 not null default pg_current_xact_id(),
  at timestamptz not null default now(),
  kind text not null,
  -- null: very many of the kind changed at once
  id text,
  -- 0: it was deleted
  version integer
);
create index change_log_tx on change_log (tx);
create index change_log_at on change_log (at);

create function tell_logged() returns trigger language plpgsql as $$
begin
  perform pg_notify('brannik_change', json_strip_nulls(json_build_object(
    'kind', new.kind, 'id', new.id, 'version', new.version))::text);
  return null;
end
$$;
create trigger tell_logged after insert on change_log for each row execute function tell_logged();

create or replace function tell_changed() returns trigger language plpgsql as $$
begin
  if (select count(*) from (select 1 from changed limit 101) as counted) > 100 then
    insert into change_log (kind) select distinct kind from changed;
  else
    insert into change_log (kind, id, version)
      select kind, id, case when tg_op = 'DELETE' then 0 else version end from changed;
  end if;
  return null;
end
$$;

create or replace function tell_counted() returns trigger language plpgsql as $$
begin
  if (select count(*) from changed) = 0 then return null; end if;
  insert into kind_revision (kind, part) values ('stock', pg_backend_pid() % 16)
    on conflict (kind, part) do update set revision = kind_revision.revision + 1;
  if (select count(*) from (select 1 from changed limit 101) as counted) > 100 then
    insert into change_log (kind) values ('stock');
  else
    insert into change_log (kind, id, version) select 'stock', id, version from changed;
  end if;
  return null;
end
$$;
