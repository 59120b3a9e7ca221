-- Which shop this is: a random word that stands in every version, position and number given out, so that those of one
-- shop never pass for another's. It is made with the database, and anew with every new shop and every restore. A backup
-- carries the word of the shop that it was made of: the word names the database that it was made in, and a server that
-- finds another one there makes it anew. Another database is one of another cluster, of another number in it, or of
-- another timeline, on which a cluster goes on that was recovered to a point in time.

create function database_place() returns text language sql stable as $$
  select (select system_identifier from pg_control_system()) || '.' ||
    (select oid from pg_database where datname = current_database()) || '.' ||
    substr(pg_walfile_name(pg_current_wal_lsn()), 1, 8)
$$;

create table shop_epoch (
  is_only boolean primary key default true check (is_only),
  id text not null default left(replace(gen_random_uuid()::text, '-', ''), 12),
  place text not null default database_place()
);
insert into shop_epoch default values;

create function tell_epoch() returns trigger language plpgsql as $$
begin
  insert into change_log (kind, id) values ('epoch', new.id);
  return null;
end
$$;
create trigger tell_epoch after update on shop_epoch for each row execute function tell_epoch();
