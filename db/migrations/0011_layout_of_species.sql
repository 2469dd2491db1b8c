-- A job may be of several species: each has a layout of its own.

alter table job_layout add column species text not null default '';
-- Until now a job was of one species, and its decisions named it.
update job_layout l set species = coalesce(r.document -> 'form' ->> 'species', '')
from job j join job_revision r on r.job_id = j.id and r.revision = j.revision
where j.id = l.job_id;
alter table job_layout drop constraint job_layout_pkey, add primary key (job_id, species);
