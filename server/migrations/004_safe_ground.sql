-- Safe ground: every version of a record is kept, with who wrote it; what was done is written down; accounts,
-- sessions and tokens; answers that can be given again; limits that all servers on this database share.

-- ---------------------------------------------------------------- history

create table record_history (
  kind text not null,
  id text not null,
  version integer not null,
  -- null: it was deleted
  body jsonb,
  at timestamptz not null default now(),
  who text not null,
  primary key (kind, id, version)
);
-- Deleted things are looked for by kind, latest first.
create index record_history_deleted on record_history (at desc) where body is null;

-- Lists are asked again and again: a number that rises with every change of a kind says whether one is still true.
-- It stands in parts, one for each few connections, so that writers of one kind do not wait for each other's commits;
-- the number is their sum.
create table kind_revision (
  kind text not null,
  part integer not null,
  revision bigint not null default 1,
  primary key (kind, part)
);

create function current_who() returns text language sql stable as $$
  select coalesce(nullif(current_setting('brannik.who', true), ''), 'the program itself')
$$;

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception 'the table % only grows: rows are never changed or taken away', tg_table_name;
end
$$;

-- A record that comes back after its deletion goes on counting where it stopped, so that its versions stay one line.
create function next_version() returns trigger language plpgsql as $$
begin
  new.version := greatest(new.version, coalesce(
    (select max(version) + 1 from record_history where kind = new.kind and id = new.id), 1));
  return new;
end
$$;

create function keep_written() returns trigger language plpgsql as $$
begin
  insert into record_history (kind, id, version, body, who)
    select kind, id, version, body, current_who() from changed;
  insert into kind_revision (kind, part) select distinct kind, pg_backend_pid() % 16 from changed order by kind
    on conflict (kind, part) do update set revision = kind_revision.revision + 1;
  return null;
end
$$;

create function keep_deleted() returns trigger language plpgsql as $$
begin
  insert into record_history (kind, id, version, body, who)
    select kind, id, version + 1, null, current_who() from changed;
  insert into kind_revision (kind, part) select distinct kind, pg_backend_pid() % 16 from changed order by kind
    on conflict (kind, part) do update set revision = kind_revision.revision + 1;
  return null;
end
$$;

insert into record_history (kind, id, version, body, at, who)
  select kind, id, version, body, updated_at, 'before history was kept' from record;
insert into kind_revision (kind, part) select distinct kind, 0 from record;

create trigger next_version before insert on record for each row execute function next_version();
create trigger keep_inserted after insert on record
  referencing new table as changed for each statement execute function keep_written();
create trigger keep_updated after update on record
  referencing new table as changed for each statement execute function keep_written();
create trigger keep_deleted after delete on record
  referencing old table as changed for each statement execute function keep_deleted();
create trigger only_grows before update or delete on record_history
  for each row execute function refuse_change();
create trigger only_grows_whole before truncate on record_history
  for each statement execute function refuse_change();

-- Pages of a list are cut by what they weigh.
alter table record add column bytes integer generated always as (octet_length(body::text)) stored;
create index record_by_name on record (kind, (body ->> 'name'), id);

-- ---------------------------------------------------------------- what was done

create table audit (
  seq bigint generated always as identity primary key,
  at timestamptz not null default clock_timestamp(),
  who text not null,
  role text not null,
  -- this machine, a session, a token, the command line
  via text not null,
  address text,
  action text not null,
  kind text,
  id text,
  version integer,
  detail text,
  request_id text
);
create trigger only_grows before update or delete on audit for each row execute function refuse_change();
create trigger only_grows_whole before truncate on audit for each statement execute function refuse_change();

-- ---------------------------------------------------------------- doors

create table account (
  id uuid primary key default gen_random_uuid(),
  name text not null check (name = btrim(name) and length(name) between 1 and 80),
  role text not null check (role in ('owner', 'planner', 'welder', 'guest')),
  password_hash text not null,
  disabled boolean not null default false,
  created_at timestamptz not null default now()
);
create unique index account_name on account (lower(name));

-- A session and a token are known by the hash of their secret: who reads the database can use neither.
create table session (
  secret_hash bytea primary key,
  account_id uuid not null references account on delete cascade,
  created_at timestamptz not null default now(),
  seen_at timestamptz not null default now(),
  expires_at timestamptz not null,
  address text,
  agent text
);
create index session_account on session (account_id);

create table api_token (
  id uuid primary key default gen_random_uuid(),
  name text not null check (name = btrim(name) and length(name) between 1 and 80),
  role text not null check (role in ('owner', 'planner', 'welder', 'guest')),
  secret_hash bytea not null unique,
  created_by text not null,
  created_at timestamptz not null default now(),
  used_at timestamptz,
  revoked_at timestamptz
);

-- ---------------------------------------------------------------- shared by all servers on this database

-- What a write was answered, kept in the same transaction: a write that is asked again gets the same answer.
create table stored_answer (
  who text not null,
  key text not null,
  fingerprint bytea not null,
  at timestamptz not null default now(),
  status integer,
  etag text,
  location text,
  body text,
  primary key (who, key)
);
create index stored_answer_at on stored_answer (at);

-- Counts of requests and of wrong passwords. They may be lost with a crash of the database.
create unlogged table rate_window (
  key text primary key,
  hits integer not null,
  resets_at timestamptz not null
);
create unlogged table sign_in_failure (
  key text primary key,
  failures integer not null,
  last_at timestamptz not null default now()
);
