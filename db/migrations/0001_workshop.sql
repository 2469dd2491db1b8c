-- A workshop, its places, its rack and its jobs. Every table carries workshop_id.

create table workshop (
  id          uuid primary key default gen_random_uuid(),
  -- Units, tools and allowances, checked by the shop schema on the way in and out.
  settings    jsonb not null,
  revision    integer not null default 1,
  created_at  timestamptz not null default now()
);

create table place (
  id           uuid primary key default gen_random_uuid(),
  workshop_id  uuid not null references workshop (id),
  name         text not null,
  kind         text not null check (kind in ('shop', 'home')),
  -- Twelve months: [{ "temperature": °C, "relativeHumidity": % }, …]
  months       jsonb not null,
  note         text not null default '',
  revision     integer not null default 1,
  deleted_at   timestamptz,
  created_at   timestamptz not null default now()
);
create index place_of_workshop on place (workshop_id);

create table board (
  id           uuid primary key default gen_random_uuid(),
  workshop_id  uuid not null references workshop (id),
  tag          text not null,
  species      text not null,
  length       double precision not null check (length > 0),
  width        double precision not null check (width > 0),
  thickness    double precision not null check (thickness > 0),
  quarters     smallint,
  surface      text not null check (surface in ('rough', 'dressed')),
  ring_angle   double precision not null check (ring_angle between 0 and 90),
  moisture     double precision,
  moisture_on  date,
  lot          text not null default '',
  note         text not null default '',
  revision     integer not null default 1,
  deleted_at   timestamptz,
  created_at   timestamptz not null default now()
);
-- A tag names one board on the rack; boards in the bin may share theirs with a new one.
create unique index board_tag on board (workshop_id, tag) where deleted_at is null;
create index board_of_species on board (workshop_id, species);

create table board_defect (
  id           bigint generated always as identity primary key,
  workshop_id  uuid not null references workshop (id),
  board_id     uuid not null references board (id) on delete cascade,
  kind         text not null,
  x            double precision not null,
  y            double precision not null,
  length       double precision not null,
  width        double precision not null
);
create index defect_of_board on board_defect (board_id);

create table job (
  id           uuid primary key default gen_random_uuid(),
  workshop_id  uuid not null references workshop (id),
  revision     integer not null,
  created_at   timestamptz not null default now(),
  changed_at   timestamptz not null default now(),
  deleted_at   timestamptz
);
create index job_of_workshop on job (workshop_id);

-- Every accepted state of a job's decisions. Undo and redo are new revisions too; these two columns say where each leads.
create table job_revision (
  job_id       uuid not null references job (id) on delete cascade,
  workshop_id  uuid not null references workshop (id),
  revision     integer not null,
  document     jsonb not null,
  undo_to      integer,
  redo_to      integer,
  made_at      timestamptz not null default now(),
  primary key (job_id, revision)
);

-- The last layout found for a job: derived, kept because it takes seconds to find; its key tells whether it still fits.
create table job_layout (
  job_id       uuid primary key references job (id) on delete cascade,
  workshop_id  uuid not null references workshop (id),
  layout       jsonb not null,
  found_at     timestamptz not null default now()
);
