-- Every change is told to whoever listens: pages show each other's edits. Of a change of very many at once only the
-- kinds are told.

create function tell_changed() returns trigger language plpgsql as $$
begin
  if (select count(*) from (select 1 from changed limit 101) as counted) > 100 then
    perform pg_notify('brannik_change', json_build_object('kind', kind)::text)
      from (select distinct kind from changed) as kinds;
  else
    perform pg_notify('brannik_change', json_build_object(
        'kind', kind, 'id', id, 'version', case when tg_op = 'DELETE' then 0 else version end)::text)
      from changed;
  end if;
  return null;
end
$$;

create trigger tell_inserted after insert on record
  referencing new table as changed for each statement execute function tell_changed();
create trigger tell_updated after update on record
  referencing new table as changed for each statement execute function tell_changed();
create trigger tell_deleted after delete on record
  referencing old table as changed for each statement execute function tell_changed();
