-- On a machine of its own the shop asks for no sign-in; whoever sits at it shows that once in each browser, with a link
-- that the start prints. A proxy in front has no such link, whatever it says or leaves out.
create table machine_link (
  secret_hash bytea primary key,
  made_at timestamptz not null default now()
);
create table machine_browser (
  secret_hash bytea primary key,
  seen_at timestamptz not null default now()
);
