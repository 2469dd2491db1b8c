-- What belongs to a board, a job, a place or a device is of the same workshop; and defects are what a board's schema lets.

alter table board add unique (workshop_id, id);
alter table job add unique (workshop_id, id);
alter table place add unique (workshop_id, id);
alter table device add unique (workshop_id, id);

alter table board_defect
  drop constraint board_defect_board_id_fkey,
  add foreign key (workshop_id, board_id) references board (workshop_id, id) on delete cascade,
  add check (kind in ('knot', 'check', 'split', 'wane', 'bow', 'sapwood', 'stain')),
  add check (x >= 0 and y >= 0 and length > 0 and width > 0);

alter table job_revision
  drop constraint job_revision_job_id_fkey,
  add foreign key (workshop_id, job_id) references job (workshop_id, id) on delete cascade,
  add check (revision > 0);
alter table job_layout
  drop constraint job_layout_job_id_fkey,
  add foreign key (workshop_id, job_id) references job (workshop_id, id) on delete cascade;
alter table job_layout_kept
  drop constraint job_layout_kept_job_id_fkey,
  add foreign key (workshop_id, job_id) references job (workshop_id, id) on delete cascade;

alter table device add foreign key (workshop_id, place_id) references place (workshop_id, id);
alter table air_reading
  drop constraint air_reading_device_id_fkey,
  drop constraint air_reading_place_id_fkey,
  add foreign key (workshop_id, device_id) references device (workshop_id, id) on delete cascade,
  add foreign key (workshop_id, place_id) references place (workshop_id, id);
alter table board_reading
  drop constraint board_reading_board_id_fkey,
  add foreign key (workshop_id, board_id) references board (workshop_id, id) on delete cascade;

-- What is set to nothing when its job, board or device goes keeps the key that does so; these are asked at the end of what
-- is done together, when it has been.
alter table board
  add foreign key (workshop_id, reserved_for) references job (workshop_id, id) deferrable initially deferred,
  add foreign key (workshop_id, taken_for) references job (workshop_id, id) deferrable initially deferred,
  add foreign key (workshop_id, cut_from) references board (workshop_id, id) deferrable initially deferred;
alter table board_reading
  add foreign key (workshop_id, device_id) references device (workshop_id, id) deferrable initially deferred;
