-- Forecasts as they were shown, her own guesses, the role of a thing, and wearing less from a day on.

-- What the house once told of when a thing would be finished: to be scored by what came of it. Names no table: it outlasts the
-- taking back of what it was about.
CREATE TABLE forecast (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL,
  made_on TEXT NOT NULL CHECK (made_on GLOB '????-??-??'),
  why TEXT NOT NULL CHECK (why IN ('rolled in', 'read', 'four weeks')),
  -- Logged uses by then.
  uses INTEGER NOT NULL CHECK (uses >= 0),
  -- Days from that day: a tenth, half and nine tenths of the chances.
  low_days REAL NOT NULL CHECK (low_days > 0),
  middle_days REAL NOT NULL CHECK (middle_days >= low_days),
  high_days REAL NOT NULL CHECK (high_days >= middle_days),
  -- What was thought to be left, of a full one.
  share_left REAL NOT NULL CHECK (share_left BETWEEN 0 AND 1)
) STRICT;
CREATE INDEX forecast_by_item ON forecast (item_id, made_on);

-- Her own guess of how long a thing will last.
CREATE TABLE guess (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  made_on TEXT NOT NULL CHECK (made_on GLOB '????-??-??'),
  months REAL NOT NULL CHECK (months > 0 AND months <= 240),
  version INTEGER NOT NULL DEFAULT 1,
  UNIQUE (item_id, made_on)
) STRICT;

-- From a day on less is worn than the week says; a low season without an end.
CREATE TABLE wear_less (
  id TEXT PRIMARY KEY,
  from_day TEXT NOT NULL CHECK (from_day GLOB '????-??-??'),
  factor REAL NOT NULL CHECK (factor BETWEEN 0 AND 1),
  words TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

-- How it stands among its like, where she says so; none = as the drawer tells.
ALTER TABLE item ADD COLUMN role TEXT CHECK (role IN ('staple', 'rotation', 'occasional'));
UPDATE change_row SET
  before = CASE WHEN before IS NULL THEN NULL ELSE json_set(before, '$.role', NULL) END,
  after = CASE WHEN after IS NULL THEN NULL ELSE json_set(after, '$.role', NULL) END
 WHERE tbl = 'item';
