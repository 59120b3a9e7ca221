-- Welds have two metals, unequal legs, more kinds of groove, tubes, patterns and their own times; jobs have a
-- due date, a school of sizing, service, handling and an order. What was stored keeps its meaning.

create function pg_temp.weld_line(old jsonb) returns jsonb language sql immutable as $$
  select (old - 'material') || jsonb_build_object(
    'kind', case old ->> 'kind' when 'butt-square' then 'square' when 'butt-v' then 'v' else old ->> 'kind' end,
    'materialA', m.name,
    'materialB', m.name,
    'legBMm', null,
    'rootRadiusMm', 0,
    'backWeldMm', 0,
    'backing', false,
    'diameterMm', null,
    'headerDiameterMm', null,
    'slotLengthMm', null,
    'around', false,
    'pattern', 'continuous',
    'segmentMm', null,
    'pitchMm', null,
    'tackS', null,
    'repositionS', null
  )
  from (select case old ->> 'material'
      when 'carbon-steel' then 'hot-rolled'
      when 'stainless-316l' then 'stainless-316'
      else old ->> 'material'
    end as name) m
$$;

update record set
  version = version + 1,
  updated_at = now(),
  body = jsonb_set(body, '{joints}', (
      select jsonb_agg(pg_temp.weld_line(joint) order by place)
      from jsonb_array_elements(body -> 'joints') with ordinality as lines (joint, place)
    )) || jsonb_build_object(
      'dueOn', null,
      'sizing', 'code-table',
      'serviceTemperatureC', null,
      'anodised', false,
      'handling', 'turned',
      'order', 'piece-by-piece',
      'state', 'planned'
    )
where kind = 'job';

-- Two assumptions became one: from weld to weld, turned by hand.
update record set
  version = version + 1,
  updated_at = now(),
  body = jsonb_set(body, '{assumptions}', ((body -> 'assumptions') - 'repositionWireS' - 'repositionGtawS') ||
    case when body -> 'assumptions' ? 'repositionWireS'
      then jsonb_build_object('repositionTurnedS', body -> 'assumptions' -> 'repositionWireS')
      else '{}'::jsonb end)
where kind = 'shop' and (body -> 'assumptions' ? 'repositionWireS' or body -> 'assumptions' ? 'repositionGtawS');
