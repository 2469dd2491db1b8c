-- Boards as they really are: tapered, live-edged, crooked, with defects on one face; what they cost and where they lie.
alter table board
  -- At the end away from the tag; null where the board does not taper.
  add column far_width    double precision check (far_width > 0),
  -- How deep a live edge must be ripped; 0 where the edge is sawn.
  add column live_near    double precision not null default 0 check (live_near >= 0),
  add column live_far     double precision not null default 0 check (live_far >= 0),
  -- Measured over the whole board, mm; all three or none.
  add column twist        double precision,
  add column bow          double precision,
  add column cup          double precision,
  add column price_amount double precision check (price_amount >= 0),
  add column price_per    text check (price_per in ('board-foot', 'm3', 'm2', 'metre', 'piece')),
  add column stored_at    text not null default '',
  -- A board kept for one job; others leave it alone.
  add column reserved_for uuid references job (id) on delete set null,
  -- A board that a job has used up, and an offcut's own board.
  add column taken_for    uuid references job (id) on delete set null,
  add column taken_on     timestamptz,
  add column cut_from     uuid references board (id) on delete set null,
  add constraint board_crook check (num_nulls(twist, bow, cup) in (0, 3)),
  add constraint board_price check (num_nulls(price_amount, price_per) in (0, 2));
create index board_reserved on board (reserved_for) where reserved_for is not null;
-- The rack is read by workshop, without what is in the bin or used up.
create index board_of_workshop on board (workshop_id) where deleted_at is null;

alter table board_defect
  add column face text not null default 'through' check (face in ('through', 'tagged', 'under'));
