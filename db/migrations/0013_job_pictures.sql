-- The jobs as small drawings, kept with what else is computed of a revision; and the list in other orders.
alter table job add column picture jsonb;
create index job_by_due on job (workshop_id, (coalesce(nullif(due_on, ''), '9999')), id) where deleted_at is null;
create index job_by_name on job (workshop_id, (lower(name)), id) where deleted_at is null;
