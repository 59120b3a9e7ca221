-- The log of welds as it is searched: a row for each weld that counts. The events are the truth; these rows follow them.
create table weld_log (
  seq bigint primary key references event,
  job_id text not null,
  joint_id text not null,
  state text not null,
  outcome text,
  welded_at timestamptz not null,
  set_up_id text,
  source_id text,
  wire_id text,
  gas_id text,
  process text not null,
  position text not null,
  thickness_mm double precision not null,
  words tsvector not null
);
create index weld_log_newest on weld_log (welded_at desc, seq desc);
create index weld_log_of_weld on weld_log (job_id, joint_id, welded_at desc);
create index weld_log_of_source on weld_log (source_id, wire_id, welded_at desc);
create index weld_log_words on weld_log using gin (words);
create index event_corrects on event (corrects) where corrects is not null;

create function log_weld() returns trigger language plpgsql as $$
declare
  b constant jsonb := new.body;
begin
  if new.corrects is not null then
    delete from weld_log where seq = new.corrects;
  end if;
  if (b ->> 'isWithdrawn')::boolean then
    return null;
  end if;
  insert into weld_log values (
    new.seq, split_part(new.subject, '.', 2), split_part(new.subject, '.', 3), b ->> 'state', b ->> 'outcome',
    (b ->> 'weldedAt')::timestamptz, b ->> 'setUpId', b ->> 'sourceId', b ->> 'wireId', b ->> 'gasId',
    b ->> 'process', b ->> 'position', (b ->> 'thicknessMm')::double precision,
    to_tsvector('simple', concat_ws(' ', new.who, b ->> 'welder', b ->> 'jobName', b ->> 'weldName',
      b ->> 'setUpName', b ->> 'sourceId', b ->> 'wireId', b ->> 'gasId', b ->> 'process', b ->> 'position',
      b ->> 'metal', b ->> 'state', b ->> 'outcome', b ->> 'sign', b ->> 'cause', b ->> 'breaker', b ->> 'note',
      b #>> '{settings,voltsV}', b #>> '{settings,currentA}', left(b ->> 'weldedAt', 10)))
  );
  return null;
end
$$;
create trigger log_weld after insert on event
  for each row when (new.type = 'weld-recorded') execute function log_weld();
