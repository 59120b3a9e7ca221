-- A browser in which somebody has signed in before is known: a stranger who guesses at the same name keeps nobody out of
-- it. The secret is a cookie; here is its hash.
create table known_browser (
  secret_hash bytea primary key,
  account_id uuid not null references account on delete cascade,
  seen_at timestamptz not null default now()
);

-- A token ends with the account that made it, with the token that made it, and at its time; it may be for some kinds of
-- records alone. Null in all of them: made before there was any of this, or on this machine without an account.
alter table api_token
  add column account_id uuid references account on delete set null,
  add column parent_id uuid references api_token,
  add column expires_at timestamptz,
  add column kinds text[];

-- Before the account goes: afterwards nobody knows which were its.
create function revoke_tokens() returns trigger language plpgsql as $$
begin
  update api_token set revoked_at = now() where account_id = old.id and revoked_at is null;
  return old;
end
$$;
create trigger revoke_tokens before delete on account for each row execute function revoke_tokens();

-- Who is no longer let in is told to every server: what is open for them is closed at once.
create function tell_door() returns trigger language plpgsql as $$
begin
  if tg_table_name = 'session' then
    perform pg_notify('brannik_door', 'session ' || encode(old.secret_hash, 'hex'));
  elsif tg_table_name = 'api_token' then
    perform pg_notify('brannik_door', 'token ' || new.id);
  elsif tg_op = 'DELETE' then
    perform pg_notify('brannik_door', 'account ' || old.id);
  else
    perform pg_notify('brannik_door', 'account ' || new.id);
  end if;
  return null;
end
$$;
create trigger tell_door after delete on session for each row execute function tell_door();
create trigger tell_door after update of revoked_at on api_token for each row execute function tell_door();
create trigger tell_door after delete or update of disabled, role on account
  for each row execute function tell_door();
