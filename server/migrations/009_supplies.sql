-- What a circuit comes from, and what else draws, are records like the others.
alter table record drop constraint record_kind_check;
alter table record add constraint record_kind_check check (kind in
  ('shop', 'generator', 'panel', 'circuit', 'load', 'power-source', 'feeder', 'gun', 'part', 'wire', 'gas', 'tungsten',
   'set-up', 'job', 'requirement-sheet', 'decision'));
