-- Looking back: spans she named, what she felt of one, and which of a few should be next, to ask friends.

-- A span of her own; without an end it runs up to today.
CREATE TABLE look_span (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
  from_day TEXT NOT NULL CHECK (from_day GLOB '????-??-??'),
  to_day TEXT CHECK (to_day GLOB '????-??-??' AND to_day >= from_day),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

-- What she felt of a month, a year or a span: the one thing on its sheet that no number tells.
CREATE TABLE span_words (
  id TEXT PRIMARY KEY,
  from_day TEXT NOT NULL CHECK (from_day GLOB '????-??-??'),
  to_day TEXT NOT NULL CHECK (to_day GLOB '????-??-??' AND to_day >= from_day),
  words TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1,
  UNIQUE (from_day, to_day)
) STRICT;

-- Two to six candidates on one sheet, and what friends said.
CREATE TABLE ask (
  id TEXT PRIMARY KEY,
  question TEXT NOT NULL CHECK (length(question) BETWEEN 1 AND 200),
  asked_on TEXT NOT NULL CHECK (asked_on GLOB '????-??-??'),
  answered_on TEXT CHECK (answered_on GLOB '????-??-??'),
  answer TEXT NOT NULL DEFAULT '',
  chosen_item_id TEXT REFERENCES item(id),
  version INTEGER NOT NULL DEFAULT 1,
  CHECK (answered_on IS NOT NULL OR (answer = '' AND chosen_item_id IS NULL))
) STRICT;
CREATE TABLE ask_item (
  id TEXT PRIMARY KEY,
  ask_id TEXT NOT NULL REFERENCES ask(id),
  item_id TEXT NOT NULL REFERENCES item(id),
  position INTEGER NOT NULL CHECK (position >= 0),
  UNIQUE (ask_id, item_id)
) STRICT;
CREATE INDEX ask_item_by_item ON ask_item (item_id);

-- The span whose sheet made her think of a lesson.
ALTER TABLE lesson ADD COLUMN span_from TEXT CHECK (span_from GLOB '????-??-??');
ALTER TABLE lesson ADD COLUMN span_to TEXT CHECK (span_to GLOB '????-??-??');
UPDATE change_row SET
  before = CASE WHEN before IS NULL THEN NULL ELSE json_set(before, '$.span_from', NULL, '$.span_to', NULL) END,
  after = CASE WHEN after IS NULL THEN NULL ELSE json_set(after, '$.span_from', NULL, '$.span_to', NULL) END
 WHERE tbl = 'lesson';
