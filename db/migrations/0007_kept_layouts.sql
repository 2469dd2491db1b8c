-- Layouts put aside to be compared with the one a job stands on: what was asked for, and what was found.
create table job_layout_kept (
  id           uuid primary key default gen_random_uuid(),
  job_id       uuid not null references job (id) on delete cascade,
  workshop_id  uuid not null references workshop (id),
  name         text not null,
  -- The part “layout” of the job's decisions.
  choice       jsonb not null,
  layout       jsonb not null,
  kept_at      timestamptz not null default now()
);
create index kept_layout_of_job on job_layout_kept (job_id);
