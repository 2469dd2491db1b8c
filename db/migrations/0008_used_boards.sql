-- The rack is what is neither in the bin nor used up; a board of either keeps its tag out of the way of a new one only
-- while it is not in the bin.
create index board_used on board (workshop_id, taken_on desc) where taken_for is not null;
create index board_cut_from on board (cut_from) where cut_from is not null;
