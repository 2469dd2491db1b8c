-- How a place turns outdoor air into its own, and the days a logger kept there.
alter table place
  -- { setPoints: [12 × °C or null], unheatedAbove, leastHumidity, greatestHumidity, altitude }, or null: the months are the room's own
  add column room    jsonb,
  -- [{ day: 0–364, temperature, relativeHumidity }, …]
  add column logged  jsonb not null default '[]';

-- A device that posts readings. Its token is shown once; only a hash is kept.
create table device (
  id            uuid primary key default gen_random_uuid(),
  workshop_id   uuid not null references workshop (id),
  name          text not null,
  kind          text not null check (kind in ('hygrometer', 'moisture-meter')),
  -- Where a hygrometer hangs.
  place_id      uuid references place (id),
  token_hash    text not null unique,
  last_seen_at  timestamptz,
  deleted_at    timestamptz,
  created_at    timestamptz not null default now()
);
create index device_of_workshop on device (workshop_id);

-- Air as it was read; the same device says one thing at one time.
create table air_reading (
  device_id          uuid not null references device (id) on delete cascade,
  workshop_id        uuid not null references workshop (id),
  place_id           uuid not null references place (id),
  read_at            timestamptz not null,
  temperature        double precision not null,
  relative_humidity  double precision not null,
  received_at        timestamptz not null default now(),
  primary key (device_id, read_at)
);
create index air_of_place on air_reading (place_id, read_at);

-- Moisture of a board as it was read, and as it was corrected for wood and warmth.
create table board_reading (
  id                bigint generated always as identity primary key,
  workshop_id       uuid not null references workshop (id),
  board_id          uuid not null references board (id) on delete cascade,
  device_id         uuid references device (id) on delete set null,
  read_at           timestamptz not null,
  reading           double precision not null,
  wood_temperature  double precision not null,
  method            text not null check (method in ('pin', 'pinless', 'oven')),
  moisture          double precision not null,
  received_at       timestamptz not null default now(),
  unique (board_id, device_id, read_at)
);
create index readings_of_board on board_reading (board_id, read_at);
