-- What is asked of a machine, and what was decided, are records like the others.
alter table record drop constraint record_kind_check;
alter table record add constraint record_kind_check check (kind in
  ('shop', 'circuit', 'power-source', 'feeder', 'gun', 'part', 'wire', 'gas', 'tungsten', 'set-up', 'job',
   'requirement-sheet', 'decision'));
