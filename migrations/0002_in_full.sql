-- The daily log and the collection in full: what is recorded of an item, of a day and of a project; pairs, photos, saved
-- faces, things put back, laying passes, the short list for later seasons.

ALTER TABLE item ADD COLUMN structure TEXT NOT NULL DEFAULT 'single'
  CHECK (structure IN ('single', 'duo', 'palette', 'dual-ended', 'kit'));
ALTER TABLE item ADD COLUMN undertone TEXT CHECK (undertone IN ('warm', 'neutral', 'cool', 'olive'));
ALTER TABLE item ADD COLUMN depth TEXT
  CHECK (depth IN ('match', 'too light', 'too dark', 'only mixed', 'summer shade', 'winter shade'));
ALTER TABLE item ADD COLUMN seasons TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(seasons));
ALTER TABLE item ADD COLUMN availability TEXT CHECK (availability IN ('limited edition', 'discontinued'));
ALTER TABLE item ADD COLUMN spf INTEGER CHECK (spf BETWEEN 1 AND 150);
ALTER TABLE item ADD COLUMN package_states TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(package_states));
ALTER TABLE item ADD COLUMN brushes TEXT NOT NULL DEFAULT '';
ALTER TABLE item ADD COLUMN kit TEXT NOT NULL DEFAULT '';
-- It ended on or before that day; nobody knows closer. An imported empty without a date is one.
ALTER TABLE item ADD COLUMN ended_roughly INTEGER NOT NULL DEFAULT 0 CHECK (ended_roughly IN (0, 1));
UPDATE item SET structure = 'palette' WHERE id IN (SELECT item_id FROM part);

-- A dual-ended thing may have a pencil at one end and a gel at the other.
ALTER TABLE part ADD COLUMN form TEXT;

CREATE TABLE pair (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  other_item_id TEXT NOT NULL REFERENCES item(id) CHECK (other_item_id <> item_id),
  verdict TEXT NOT NULL CHECK (verdict IN ('works', 'fights')),
  item_amount REAL CHECK (item_amount > 0),
  other_amount REAL CHECK (other_amount > 0),
  amount_unit TEXT CHECK (amount_unit IN ('pumps', 'drops')),
  words TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((amount_unit IS NULL) = (item_amount IS NULL) AND (amount_unit IS NULL) = (other_amount IS NULL)),
  UNIQUE (item_id, other_item_id)
) STRICT;
CREATE INDEX pair_by_other ON pair (other_item_id);

-- The picture itself is a file in the data folder, named by the id.
CREATE TABLE photo (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  part_id TEXT REFERENCES part(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  width INTEGER NOT NULL CHECK (width > 0),
  height INTEGER NOT NULL CHECK (height > 0),
  words TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE INDEX photo_by_item ON photo (item_id, day);

ALTER TABLE day_record ADD COLUMN hands TEXT;
ALTER TABLE day_record ADD COLUMN weather TEXT;

-- A stretch of every year with less makeup: hay fever, midsummer. Month and day; it may run over New Year.
CREATE TABLE low_season (
  id TEXT PRIMARY KEY,
  from_day TEXT NOT NULL CHECK (from_day GLOB '[01][0-9]-[0-3][0-9]'),
  to_day TEXT NOT NULL CHECK (to_day GLOB '[01][0-9]-[0-3][0-9]'),
  factor REAL NOT NULL CHECK (factor BETWEEN 0 AND 1),
  words TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE saved_face (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  occasion TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE TABLE saved_face_item (
  id TEXT PRIMARY KEY,
  saved_face_id TEXT NOT NULL REFERENCES saved_face(id),
  item_id TEXT NOT NULL REFERENCES item(id),
  part_ids TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(part_ids)),
  UNIQUE (saved_face_id, item_id)
) STRICT;

-- Reached for, looked at and put back again: evidence for a decision.
CREATE TABLE put_back (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  UNIQUE (item_id, day)
) STRICT;
CREATE INDEX put_back_by_day ON put_back (day);

-- A suggestion sent away until tomorrow.
CREATE TABLE not_today (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  UNIQUE (item_id, day)
) STRICT;
CREATE INDEX not_today_by_day ON not_today (day);

-- It stands beside the drawer: in reach, but in no slot of it.
ALTER TABLE placement ADD COLUMN beside INTEGER NOT NULL DEFAULT 0 CHECK (beside IN (0, 1));

-- A guided pass over the drawer and the season's candidates; choices take effect when it is closed.
CREATE TABLE laying (
  id TEXT PRIMARY KEY,
  season TEXT NOT NULL CHECK (season IN ('spring', 'summer', 'autumn', 'winter')),
  started_on TEXT NOT NULL CHECK (started_on GLOB '????-??-??'),
  closed_on TEXT CHECK (closed_on GLOB '????-??-??'),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE UNIQUE INDEX laying_once_at_a_time ON laying ((closed_on IS NULL)) WHERE closed_on IS NULL;
CREATE TABLE laying_choice (
  id TEXT PRIMARY KEY,
  laying_id TEXT NOT NULL REFERENCES laying(id),
  item_id TEXT NOT NULL REFERENCES item(id),
  choice TEXT NOT NULL CHECK (choice IN ('stays', 'comes in', 'put away', 'rests', 'doubtful')),
  until_day TEXT CHECK (until_day GLOB '????-??-??'),
  UNIQUE (laying_id, item_id),
  CHECK ((choice = 'put away') = (until_day IS NOT NULL))
) STRICT;

ALTER TABLE project ADD COLUMN at_least INTEGER CHECK (at_least BETWEEN 1 AND 1000);
ALTER TABLE project ADD COLUMN most_items INTEGER CHECK (most_items BETWEEN 1 AND 1000);
ALTER TABLE project ADD COLUMN replacing TEXT NOT NULL DEFAULT 'as I feel'
  CHECK (replacing IN ('like for like', 'any category', 'as I feel', 'none'));
ALTER TABLE project ADD COLUMN break_days INTEGER CHECK (break_days BETWEEN 1 AND 366);
ALTER TABLE project ADD COLUMN leaving_allowed INTEGER NOT NULL DEFAULT 1 CHECK (leaving_allowed IN (0, 1));
ALTER TABLE project ADD COLUMN theme TEXT CHECK (theme IN ('powders', 'creams and liquids', 'samples'));
ALTER TABLE project ADD COLUMN category_id TEXT REFERENCES category(id);
ALTER TABLE project ADD COLUMN uses_each INTEGER CHECK (uses_each BETWEEN 1 AND 1000);
ALTER TABLE project ADD COLUMN at_once INTEGER CHECK (at_once BETWEEN 1 AND 100);
ALTER TABLE project ADD COLUMN palette_id TEXT REFERENCES item(id);
ALTER TABLE project ADD COLUMN lessons TEXT NOT NULL DEFAULT '';

ALTER TABLE stay ADD COLUMN carried_from TEXT REFERENCES stay(id);
-- Followed without a goal of its own: a mixing partner, a base that goes along.
ALTER TABLE stay ADD COLUMN beside INTEGER NOT NULL DEFAULT 0 CHECK (beside IN (0, 1));
ALTER TABLE stay ADD COLUMN baseline_bare REAL CHECK (baseline_bare BETWEEN 0 AND 1);

CREATE TABLE short_list (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL UNIQUE REFERENCES item(id),
  season TEXT CHECK (season IN ('spring', 'summer', 'autumn', 'winter')),
  words TEXT NOT NULL DEFAULT '',
  added_on TEXT NOT NULL CHECK (added_on GLOB '????-??-??'),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
