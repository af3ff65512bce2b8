-- A job is a line of revisions; "revision" points at the one that is in force, so that undo and
-- redo only move the pointer and survive a restart.
create table job (
  id text primary key,
  created_at text not null,
  touched_at text not null,
  revision integer not null
);

create table revision (
  job_id text not null references job (id) on delete cascade,
  number integer not null,
  at text not null,
  what text not null,
  title text not null,
  document text not null,
  primary key (job_id, number)
);

-- Files as they came, by the hash of their bytes.
create table attachment (
  sha256 text primary key,
  name text not null,
  size integer not null,
  at text not null,
  bytes blob not null
);

-- What was read from a log, packed, with the version of the reader that did.
create table reading (
  sha256 text primary key references attachment (sha256) on delete cascade,
  reader_version integer not null,
  packed blob not null
);

create table setting (
  name text primary key,
  value text not null
);
