-- Heights of a board's upper face as they were measured: three along by three across, mm.
alter table board add column heights jsonb;
