-- Plates in full, feeders and small parts: what was stored keeps its meaning, and what nobody had been asked is null.

alter table record drop constraint record_kind_check;
alter table record add constraint record_kind_check check (kind in
  ('shop', 'circuit', 'power-source', 'feeder', 'gun', 'part', 'wire', 'gas', 'tungsten', 'set-up', 'job'));

update record set version = version + 1, updated_at = now(), body = body || '{"aluminiumTip": "one-over"}'
where kind = 'shop';

create function pg_temp.plate_process(old jsonb) returns jsonb language sql immutable as $$
  select old || jsonb_build_object('pulse', false, 'supplies', (
    select jsonb_agg(supply || jsonb_build_object(
        'openCircuitV', null, 'inputKva', null, 'feedMaxMmPerMin', null,
        'ratedPoints', (
          select jsonb_agg(point || '{"loadV": null}' order by p)
          from jsonb_array_elements(supply -> 'ratedPoints') with ordinality as points (point, p)
        )) order by s)
    from jsonb_array_elements(old -> 'supplies') with ordinality as supplies (supply, s)
  ))
$$;

update record set
  version = version + 1,
  updated_at = now(),
  body = (body - 'feedMaxMmPerMin') || jsonb_build_object(
    'held', 'owned',
    'price', null,
    'processes', (
      select jsonb_agg(pg_temp.plate_process(process) order by place)
      from jsonb_array_elements(body -> 'processes') with ordinality as processes (process, place)
    ),
    'supplyChange', null,
    'acBalance', null,
    'acFrequency', null,
    -- That a wire starts by touching was no choice.
    'start', (body -> 'start') - 'wire',
    'lowestStableA', null,
    'voltageSteps', null,
    -- A source for wire had its feeder built in.
    'feeder', case when body -> 'processes' @> '[{"family": "gmaw"}]' or body -> 'processes' @> '[{"family": "fcaw"}]'
      then jsonb_build_object(
        'feedMinMmPerMin', null, 'feedMaxMmPerMin', body -> 'feedMaxMmPerMin', 'wireMinMm', null, 'wireMaxMm', null,
        'rollSystem', null, 'spoolsMm', '[]'::jsonb, 'spoolMostG', null, 'gunConnector', null)
      else 'null'::jsonb end,
    'torchConnector', null,
    'polarityChange', null,
    'gasValve', null,
    'waterCooler', null,
    'vrd', null)
where kind = 'power-source';

update record set version = version + 1, updated_at = now(), body = body || jsonb_build_object(
  'held', 'owned', 'price', null, 'drive', 'none', 'massG', null, 'neck', null,
  'connector', null, 'partsClass', null, 'feeder', null, 'valve', null)
where kind = 'gun';

update record set version = version + 1, updated_at = now(), body = body || jsonb_build_object(
  'positions', null, 'gasWanted', null, 'spoolMm', null)
where kind = 'wire';

-- A cup number becomes a cup, and a gas lens its body of the tungsten's size; which torch they are for was not asked.
insert into record (kind, id, body)
select distinct 'part', 'cup-' || (body ->> 'cupNumber') || (case when lens then '-lens' else '' end), jsonb_build_object(
    'kind', 'cup', 'id', 'cup-' || (body ->> 'cupNumber') || (case when lens then '-lens' else '' end),
    'name', 'Cup ' || (body ->> 'cupNumber') || (case when lens then ' for gas lens' else '' end),
    'held', 'owned', 'price', null, 'stock', null,
    'number', greatest(2, (body ->> 'cupNumber')::int), 'forGasLens', lens, 'partsClass', null)
from record, lateral (select coalesce((body ->> 'gasLens')::boolean, false) as lens) l
where kind = 'set-up' and body ->> 'cupNumber' is not null
on conflict (kind, id) do nothing;

insert into record (kind, id, body)
select distinct 'part', 'lens-' || t.id, jsonb_build_object(
    'kind', 'collet-body', 'id', 'lens-' || t.id, 'name', 'Gas lens for ' || (t.body ->> 'name'),
    'held', 'owned', 'price', null, 'stock', null,
    'tungstenMm', t.body -> 'diameterMm', 'gasLens', true, 'partsClass', null)
from record s join record t on t.kind = 'tungsten' and t.id = s.body ->> 'tungstenId'
where s.kind = 'set-up' and (s.body ->> 'gasLens')::boolean and length(t.id) <= 59
on conflict (kind, id) do nothing;

update record set
  version = version + 1,
  updated_at = now(),
  body = (body - 'cupNumber' - 'gasLens') || jsonb_build_object(
    'feederId', null, 'rollId', null, 'linerId', null, 'tipId', null, 'nozzleId', null,
    'colletId', null,
    'colletBodyId', case
      when (body ->> 'gasLens')::boolean and exists (
        select 1 from record p where p.kind = 'part' and p.id = 'lens-' || (record.body ->> 'tungstenId'))
      then 'lens-' || (body ->> 'tungstenId') end,
    'cupId', 'cup-' || (body ->> 'cupNumber') ||
      (case when coalesce((body ->> 'gasLens')::boolean, false) then '-lens' else '' end),
    'backCapId', null, 'flowMeterId', null,
    'start', null, 'electronicsNear', false, 'stickOutMm', null)
where kind = 'set-up';

insert into record_reference (from_kind, from_id, field, to_kind, to_id)
select 'set-up', id, field, 'part', body ->> field
from record, unnest(array['cupId', 'colletBodyId']) as field
where kind = 'set-up' and body ->> field is not null;
