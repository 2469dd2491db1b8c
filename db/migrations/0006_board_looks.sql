-- What a maker sees on a board beside its defects: how light or dark it is, and which way its tagged face planes well.
alter table board
  add column tone   smallint check (tone between 1 and 5),
  add column planes text check (planes in ('far-end', 'tagged-end'));
