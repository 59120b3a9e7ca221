-- Every document says in which version of its schema it is written: what is older is carried up when the server starts,
-- and the history keeps each version as it was written.

alter table record add column schema_version integer not null default 1 check (schema_version >= 1);
alter table record_history add column schema_version integer not null default 1;

create or replace function keep_written() returns trigger language plpgsql as $$
begin
  insert into record_history (kind, id, version, body, who, schema_version)
    select kind, id, version, body, current_who(), schema_version from changed;
  insert into kind_revision (kind, part) select distinct kind, pg_backend_pid() % 16 from changed order by kind
    on conflict (kind, part) do update set revision = kind_revision.revision + 1;
  return null;
end
$$;

-- Whoever writes says the version.
alter table record alter column schema_version drop default;
