-- Where the pith lies, seen from the board's end: mm below the middle of the thickness, and mm to the side of the middle of the
-- width (toward larger y positive). Both or neither; without them the ring angle stands.
alter table board
  add column pith_distance  double precision,
  add column pith_offset    double precision,
  add constraint board_pith check ((pith_distance is null) = (pith_offset is null));
