-- A name is not an identity: somebody else may bear it tomorrow. Beside the name of the day stands which account or token
-- it was, and what kind of actor. Null in rows of before, and where Brannik itself wrote.
create function current_actor_id() returns uuid language sql stable as $$
  select nullif(current_setting('brannik.actor_id', true), '')::uuid
$$;
create function current_actor_kind() returns text language sql stable as $$
  select nullif(current_setting('brannik.actor_kind', true), '')
$$;

alter table record_history add column actor_id uuid, add column actor_kind text;
alter table record_history
  alter column actor_id set default current_actor_id(), alter column actor_kind set default current_actor_kind();
alter table event add column actor_id uuid, add column actor_kind text;
alter table event
  alter column actor_id set default current_actor_id(), alter column actor_kind set default current_actor_kind();
alter table audit add column actor_id uuid;

drop view stock_history;
create view stock_history as
  select 'stock' as kind, subject as id, (body ->> 'version')::integer as version,
    jsonb_build_object('id', subject, 'amount', body -> 'after') as body, at, who, actor_id, actor_kind,
    1 as schema_version
  from event where type = 'stock-movement';

-- A key is its writer's own, whatever the writer is called.
drop index event_key;
create unique index event_key on event (coalesce(actor_id::text, who), key) where key is not null;

-- Accounts and tokens are named in the same lists: none is called as another, nor so that it looks like another. The
-- program writes what a name looks like, see `access/names.ts`.
create table taken_name (
  looks text primary key,
  account_id uuid references account on delete cascade,
  token_id uuid references api_token on delete cascade,
  check ((account_id is null) <> (token_id is null))
);
create index taken_name_account on taken_name (account_id);
create index taken_name_token on taken_name (token_id);

-- What a token has been used for: the first time of each is noted in the audit.
create table token_use (
  token_id uuid not null references api_token on delete cascade,
  use text not null,
  primary key (token_id, use)
);
