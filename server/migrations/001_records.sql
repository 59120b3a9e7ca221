-- Every thing of the shop is a record: its document as the schemas of core define it, with a version that
-- rises with each write. What a record names in its document stands in record_reference as well, so that the
-- database itself refuses a name that leads nowhere and the deletion of what is in use.

create table record (
  kind text not null check (kind in
    ('shop', 'circuit', 'power-source', 'gun', 'wire', 'gas', 'tungsten', 'set-up', 'job')),
  id text not null check (id ~ '^[a-z0-9][a-z0-9-]{0,63}$'),
  version integer not null default 1 check (version >= 1),
  body jsonb not null check (body ->> 'id' = id),
  created_at timestamptz not null default now(),
  updated_at timestamptz not null default now(),
  primary key (kind, id)
);

create table record_reference (
  from_kind text not null,
  from_id text not null,
  field text not null,
  to_kind text not null,
  to_id text not null,
  primary key (from_kind, from_id, field),
  foreign key (from_kind, from_id) references record (kind, id) on delete cascade,
  foreign key (to_kind, to_id) references record (kind, id) on delete restrict
);

create index record_reference_to on record_reference (to_kind, to_id);
