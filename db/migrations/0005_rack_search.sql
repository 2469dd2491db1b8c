-- Tags in the order a person counts: A2 before A10.
create collation if not exists counted (provider = icu, locale = 'und-u-kn-true');
create index board_by_tag on board (workshop_id, tag collate counted, id) where deleted_at is null;
