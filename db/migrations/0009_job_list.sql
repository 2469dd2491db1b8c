-- What the list of jobs shows and is searched by: columns beside the document, kept with every revision.
alter table job
  add column name       text not null default '',
  add column client     text not null default '',
  add column due_on     text not null default '',
  -- What was computed of a revision, by which build of Taller; another revision's is not shown.
  add column summary    jsonb,
  add column summary_of integer,
  add column summary_by text;
update job j set name = r.document ->> 'name', client = coalesce(r.document ->> 'client', ''),
                 due_on = coalesce(r.document -> 'brief' ->> 'dueOn', '')
from job_revision r where r.job_id = j.id and r.revision = j.revision;
create index job_by_change on job (workshop_id, changed_at desc, id desc) where deleted_at is null;
create index job_in_bin on job (workshop_id, changed_at desc, id desc) where deleted_at is not null;

-- Whoever computes the list listens; a note is sent with the commit, once however much was written.
create function job_list_lacks() returns trigger language plpgsql as $$
begin
  perform pg_notify('job_list', '');
  return null;
end $$;
create trigger job_list_lacks after insert or update of revision on job
  for each statement execute function job_list_lacks();

-- The shop or a place was changed: every job may come out otherwise.
create function job_list_anew() returns trigger language plpgsql as $$
declare
  -- A place names its workshop, a workshop itself.
  shop uuid := coalesce(to_jsonb(new) ->> 'workshop_id', to_jsonb(new) ->> 'id')::uuid;
begin
  update job set summary_of = null where workshop_id = shop;
  perform pg_notify('job_list', '');
  return null;
end $$;
create trigger job_list_anew after update on place for each row execute function job_list_anew();
create trigger job_list_anew after update of settings on workshop for each row execute function job_list_anew();
