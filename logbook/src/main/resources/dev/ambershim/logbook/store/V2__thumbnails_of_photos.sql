-- A small upright picture of a photo, made once when it came in.
create table thumbnail (
  sha256 text primary key references attachment (sha256) on delete cascade,
  png blob not null
);
