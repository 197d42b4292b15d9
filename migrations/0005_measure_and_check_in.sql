-- Readings of every kind, what happens to a package, kept containers, bare areas from photos, check-ins.

-- A pass over chosen things: what was asked of each, what was done, and, once closed, the sheet as it stood.
CREATE TABLE check_in (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
  -- What it goes over.
  over TEXT NOT NULL CHECK (over IN ('project', 'category', 'drawer', 'chosen')),
  project_id TEXT REFERENCES project(id),
  category_id TEXT REFERENCES category(id),
  way TEXT NOT NULL CHECK (way IN ('item by item', 'measure by measure')),
  started_on TEXT NOT NULL CHECK (started_on GLOB '????-??-??'),
  closed_on TEXT CHECK (closed_on GLOB '????-??-??' AND closed_on >= started_on),
  -- The one thing to push next.
  push_item_id TEXT REFERENCES item(id),
  -- The sheet as it stood when it was closed.
  sheet TEXT CHECK (json_valid(sheet)),
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((closed_on IS NULL) = (sheet IS NULL)),
  CHECK ((over = 'category') = (category_id IS NOT NULL)),
  CHECK (over = 'project' OR project_id IS NULL)
) STRICT;

CREATE TABLE check_in_step (
  id TEXT PRIMARY KEY,
  check_in_id TEXT NOT NULL REFERENCES check_in(id),
  item_id TEXT NOT NULL REFERENCES item(id),
  position INTEGER NOT NULL CHECK (position >= 0),
  measure TEXT NOT NULL CHECK (measure IN ('weigh', 'look', 'photo', 'words')),
  state TEXT NOT NULL DEFAULT 'asked' CHECK (state IN ('asked', 'done', 'skipped')),
  done_on TEXT CHECK (done_on GLOB '????-??-??'),
  -- A few words on how it is.
  words TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  UNIQUE (check_in_id, item_id, measure),
  CHECK ((state = 'done') = (done_on IS NOT NULL))
) STRICT;
CREATE INDEX check_in_step_by_item ON check_in_step (item_id);

-- Washed compacts, bottles and jars, to decant and repress into.
CREATE TABLE kept_container (
  id TEXT PRIMARY KEY,
  words TEXT NOT NULL CHECK (length(words) BETWEEN 1 AND 120),
  form TEXT NOT NULL,
  grams REAL CHECK (grams > 0),
  resolution REAL CHECK (resolution > 0),
  -- The thing it came with.
  item_id TEXT REFERENCES item(id),
  kept_on TEXT NOT NULL CHECK (kept_on GLOB '????-??-??'),
  gone_on TEXT CHECK (gone_on GLOB '????-??-??' AND gone_on >= kept_on),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE INDEX kept_container_by_item ON kept_container (item_id);
INSERT INTO kept_container (id, words, form, item_id, kept_on)
SELECT lower(hex(randomblob(16))), substr(trim(p.name || ' ' || p.shade), 1, 120), i.form, i.id, min(r.day)
  FROM review r JOIN item i ON i.id = r.item_id JOIN product p ON p.id = i.product_id
 WHERE r.package_goes = 'keep the container' GROUP BY i.id;

CREATE TABLE measurement_made_anew (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  part_id TEXT REFERENCES part(id),
  check_in_id TEXT REFERENCES check_in(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  moment TEXT NOT NULL CHECK (moment IN ('before-use', 'after-use')),
  saved_at TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('level', 'length', 'stage', 'gross', 'bare', 'word')),
  -- A share 0..1, or grams; a stage and a word have no number.
  value REAL,
  unit TEXT CHECK (unit IN ('share', 'g')),
  stage TEXT CHECK (stage IN ('untouched', 'dome gone', 'dip', 'first pan', 'half bare', 'mostly bare')),
  word TEXT CHECK (word IN ('full', 'mostly full', 'half', 'a quarter', 'scraping the sides', 'a few uses', 'nothing comes')),
  -- A length as it was measured, and of what.
  mm REAL CHECK (mm > 0),
  of_mm REAL CHECK (of_mm > 0),
  how TEXT NOT NULL DEFAULT 'typed' CHECK (how IN ('typed', 'scale', 'slider', 'photo', 'brush', 'her word')),
  -- Give or take of a share; the scale's smallest step in g.
  resolution REAL CHECK (resolution > 0),
  doubtful INTEGER NOT NULL DEFAULT 0 CHECK (doubtful IN (0, 1)),
  -- Why it contradicts what was read before, as far as she said.
  cause TEXT CHECK (cause IN ('typing', 'other package', 'repressed', 'scale', 'none of these')),
  note TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((kind = 'stage') = (stage IS NOT NULL)),
  CHECK ((kind = 'word') = (word IS NOT NULL)),
  CHECK ((kind IN ('stage', 'word')) = (value IS NULL) AND (value IS NULL) = (unit IS NULL)),
  CHECK (value IS NULL OR (unit = 'g') = (kind = 'gross')),
  CHECK (value IS NULL OR (unit = 'g' AND value > 0) OR value BETWEEN 0 AND 1),
  CHECK ((mm IS NULL) = (of_mm IS NULL) AND (mm IS NULL OR (kind = 'length' AND mm <= of_mm)))
) STRICT;
INSERT INTO measurement_made_anew (id, item_id, part_id, day, moment, saved_at, kind, value, unit, stage, resolution, doubtful, note, version)
SELECT id, item_id, part_id, day, moment, saved_at, kind, value, unit, stage, resolution, doubtful, note, version
  FROM measurement ORDER BY rowid;
DROP TABLE measurement;
ALTER TABLE measurement_made_anew RENAME TO measurement;
CREATE INDEX measurement_by_item ON measurement (item_id, day, moment, saved_at);
CREATE INDEX measurement_by_check_in ON measurement (check_in_id);

-- How a bare area was read off a photo: all that it takes to read it again.
CREATE TABLE pan_reading (
  id TEXT PRIMARY KEY,
  measurement_id TEXT NOT NULL UNIQUE REFERENCES measurement(id),
  photo_id TEXT NOT NULL REFERENCES photo(id),
  shape TEXT NOT NULL CHECK (shape IN ('round', 'rect')),
  handles TEXT NOT NULL CHECK (json_valid(handles)),
  powder_taps TEXT NOT NULL CHECK (json_valid(powder_taps)),
  metal_taps TEXT NOT NULL CHECK (json_valid(metal_taps)),
  -- Lengths of runs in base 36 over the straightened square of 512 px; empty where there is no bare metal.
  mask TEXT NOT NULL,
  method TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE INDEX pan_reading_by_photo ON pan_reading (photo_id);

CREATE TABLE item_event_made_anew (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  part_id TEXT REFERENCES part(id),
  check_in_id TEXT REFERENCES check_in(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  saved_at TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('repressed', 'decanted', 'gave to a blend', 'cut open', 'stopper removed', 'other cap',
    'depotted', 'broken', 'spilt', 'pump trouble', 'mister trouble', 'cap lost')),
  -- What was lost by it: grams, or a share of what was left.
  grams REAL CHECK (grams > 0),
  share REAL CHECK (share > 0 AND share <= 1),
  -- What it went into.
  container_id TEXT REFERENCES kept_container(id),
  -- The blend it went into, or the thing that a shade became.
  other_item_id TEXT REFERENCES item(id),
  words TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  CHECK (grams IS NULL OR share IS NULL),
  CHECK (kind IN ('repressed', 'decanted') OR container_id IS NULL)
) STRICT;
INSERT INTO item_event_made_anew (id, item_id, part_id, day, saved_at, kind, words, version)
SELECT id, item_id, part_id, day, day || 'T12:00:00.000Z',
  CASE WHEN kind IN ('repressed', 'decanted', 'cut open', 'stopper removed', 'depotted', 'broken', 'spilt') THEN kind ELSE 'broken' END,
  CASE WHEN kind IN ('repressed', 'decanted', 'cut open', 'stopper removed', 'depotted', 'broken', 'spilt') THEN words
       ELSE trim(kind || ' ' || words) END, version
  FROM item_event ORDER BY rowid;
DROP TABLE item_event;
ALTER TABLE item_event_made_anew RENAME TO item_event;
CREATE INDEX item_event_by_item ON item_event (item_id, day, saved_at);
CREATE INDEX item_event_by_other ON item_event (other_item_id);

-- A shade taken out of its palette is a thing of its own from then on.
ALTER TABLE part ADD COLUMN depotted_on TEXT CHECK (depotted_on GLOB '????-??-??');

-- Of which thing it was weighed; none = of one that was never written down.
ALTER TABLE package_weight ADD COLUMN item_id TEXT REFERENCES item(id);
CREATE INDEX package_weight_by_item ON package_weight (item_id);

UPDATE change_row SET
  before = CASE WHEN before IS NULL THEN NULL ELSE json_set(json_remove(before, '$.series'),
    '$.check_in_id', NULL, '$.word', NULL, '$.mm', NULL, '$.of_mm', NULL, '$.how', 'typed', '$.cause', NULL) END,
  after = CASE WHEN after IS NULL THEN NULL ELSE json_set(json_remove(after, '$.series'),
    '$.check_in_id', NULL, '$.word', NULL, '$.mm', NULL, '$.of_mm', NULL, '$.how', 'typed', '$.cause', NULL) END
 WHERE tbl = 'measurement';
UPDATE change_row SET
  before = CASE WHEN before IS NULL THEN NULL ELSE json_set(before, '$.depotted_on', NULL) END,
  after = CASE WHEN after IS NULL THEN NULL ELSE json_set(after, '$.depotted_on', NULL) END
 WHERE tbl = 'part';
