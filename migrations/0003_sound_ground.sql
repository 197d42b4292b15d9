-- What a thing is said to be and what follows from it are told apart: an opening is kept as said, with who said it; whether
-- something is open follows from that and its wears. Readings get their unit, an absent value and the time they were saved;
-- reviews belong to the product; a picture is named by what is in it. The journal's images are brought along.

-- One product for one set of words, one category for one name, one pair for two things.
UPDATE item SET product_id = (
  SELECT min(same.id) FROM product same JOIN product own ON own.id = item.product_id
   WHERE same.maker = own.maker AND same.name = own.name AND same.shade = own.shade);
DELETE FROM product WHERE id NOT IN (SELECT product_id FROM item);
DROP INDEX product_by_words;
CREATE UNIQUE INDEX product_by_words ON product (maker, name, shade);
UPDATE category SET name = substr(name, 1, 50) || ' ' || rowid
 WHERE EXISTS (SELECT 1 FROM category other WHERE other.name = category.name COLLATE NOCASE AND other.rowid < category.rowid);
CREATE UNIQUE INDEX category_by_name ON category (name COLLATE NOCASE);
DELETE FROM pair WHERE EXISTS (
  SELECT 1 FROM pair other WHERE other.rowid > pair.rowid
     AND min(other.item_id, other.other_item_id) = min(pair.item_id, pair.other_item_id)
     AND max(other.item_id, other.other_item_id) = max(pair.item_id, pair.other_item_id));
CREATE UNIQUE INDEX pair_once ON pair (min(item_id, other_item_id), max(item_id, other_item_id));

-- By what a sheet knew it: several, where several rows turned out to be one thing.
CREATE TABLE import_mark (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  identity TEXT NOT NULL
) STRICT;
CREATE INDEX import_mark_by_item ON import_mark (item_id);
CREATE INDEX import_mark_by_identity ON import_mark (identity);
INSERT INTO import_mark (id, item_id, identity)
SELECT lower(hex(randomblob(16))), id, import_identity FROM item WHERE import_identity IS NOT NULL;

CREATE TABLE item_made_anew (
  id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL REFERENCES product(id),
  category_id TEXT NOT NULL REFERENCES category(id),
  used_as TEXT REFERENCES category(id),
  structure TEXT NOT NULL DEFAULT 'single' CHECK (structure IN ('single', 'duo', 'palette', 'dual-ended', 'kit')),
  form TEXT NOT NULL,
  format TEXT CHECK (format IN ('full size', 'mini', 'deluxe sample', 'sachet')),
  kit TEXT NOT NULL DEFAULT '',
  colour TEXT CHECK (colour GLOB '#[0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f]'),
  finish TEXT CHECK (finish IN ('matte', 'satin', 'shimmer', 'metallic', 'sheer')),
  undertone TEXT CHECK (undertone IN ('warm', 'neutral', 'cool', 'olive')),
  depth TEXT CHECK (depth IN ('match', 'too light', 'too dark', 'only mixed', 'summer shade', 'winter shade')),
  seasons TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(seasons)),
  opaque INTEGER NOT NULL DEFAULT 0 CHECK (opaque IN (0, 1)),
  slots INTEGER NOT NULL DEFAULT 1 CHECK (slots BETWEEN 1 AND 12),
  package_states TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(package_states)),
  brushes TEXT NOT NULL DEFAULT '',
  content_amount REAL CHECK (content_amount > 0),
  content_unit TEXT CHECK (content_unit IN ('g', 'ml')),
  price_minor INTEGER CHECK (price_minor >= 0),
  -- A price in another currency, as it was written: kept, never converted.
  price_said TEXT,
  source TEXT CHECK (source IN ('bought', 'gift', 'swap', 'subscription', 'points')),
  availability TEXT CHECK (availability IN ('limited edition', 'discontinued')),
  acquired_earliest TEXT CHECK (acquired_earliest GLOB '????-??-??'),
  acquired_latest TEXT CHECK (acquired_latest GLOB '????-??-??'),
  opened_kind TEXT NOT NULL CHECK (opened_kind IN ('unopened', 'unknown', 'range')),
  opened_earliest TEXT CHECK (opened_earliest GLOB '????-??-??'),
  opened_latest TEXT CHECK (opened_latest GLOB '????-??-??'),
  opened_said TEXT,
  opened_by TEXT NOT NULL DEFAULT 'she' CHECK (opened_by IN ('she', 'sheet')),
  pao_months INTEGER CHECK (pao_months BETWEEN 1 AND 120),
  expiry TEXT CHECK (expiry GLOB '????-??-??'),
  sun_protection INTEGER NOT NULL DEFAULT 0 CHECK (sun_protection IN (0, 1)),
  spf INTEGER CHECK (spf BETWEEN 1 AND 150),
  sign_day TEXT CHECK (sign_day GLOB '????-??-??'),
  sign_words TEXT,
  -- Uses before the log; absent when nobody said.
  uses_before INTEGER CHECK (uses_before BETWEEN 0 AND 100000),
  liking INTEGER CHECK (liking BETWEEN 1 AND 5),
  -- How it ended; absent while it is here.
  ended_as TEXT CHECK (ended_as IN ('finished', 'left', 'blended')),
  ended_on TEXT CHECK (ended_on GLOB '????-??-??'),
  ended_roughly INTEGER NOT NULL DEFAULT 0 CHECK (ended_roughly IN (0, 1)),
  location TEXT NOT NULL DEFAULT 'resting'
    CHECK (location IN ('zone', 'resting', 'season box', 'travel', 'handbag', 'backups box')),
  location_until TEXT CHECK (location_until GLOB '????-??-??'),
  origin_item_id TEXT REFERENCES item(id),
  notes TEXT NOT NULL DEFAULT '',
  kept_text TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(kept_text)),
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((opened_kind = 'range') = (opened_earliest IS NOT NULL AND opened_latest IS NOT NULL)),
  CHECK (opened_earliest IS NULL OR opened_earliest <= opened_latest),
  CHECK ((content_amount IS NULL) = (content_unit IS NULL)),
  CHECK ((acquired_earliest IS NULL) = (acquired_latest IS NULL)),
  CHECK (acquired_earliest IS NULL OR acquired_earliest <= acquired_latest),
  CHECK ((ended_on IS NULL) = (ended_as IS NULL)),
  CHECK ((sign_day IS NULL) = (sign_words IS NULL))
) STRICT;
INSERT INTO item_made_anew (id, product_id, category_id, used_as, structure, form, format, kit, colour, finish, undertone, depth,
  seasons, opaque, slots, package_states, brushes, content_amount, content_unit, price_minor, price_said, source, availability,
  acquired_earliest, acquired_latest, opened_kind, opened_earliest, opened_latest, opened_said, pao_months, expiry,
  sun_protection, spf, sign_day, sign_words, uses_before, liking, ended_as, ended_on, ended_roughly, location, location_until,
  origin_item_id, notes, kept_text, version)
SELECT id, product_id, category_id, used_as, structure, form, format, kit, colour, finish, undertone, depth,
  seasons, opaque, slots, package_states, brushes, content_amount, content_unit, price_minor, price_said, source, availability,
  min(acquired_earliest, acquired_latest), max(acquired_earliest, acquired_latest), opened_kind, opened_earliest,
  opened_latest, opened_said, pao_months, expiry, sun_protection, spf, sign_day, sign_words, uses_before, liking,
  CASE WHEN lifecycle IN ('finished', 'left', 'blended') THEN lifecycle END, ended_on, ended_roughly, location,
  location_until, origin_item_id, notes, kept_text, version
FROM item;
DROP TABLE item;
ALTER TABLE item_made_anew RENAME TO item;
CREATE INDEX item_by_product ON item (product_id);
CREATE INDEX item_by_category ON item (category_id);
CREATE INDEX item_by_ending ON item (ended_as);

CREATE TABLE measurement_made_anew (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  part_id TEXT REFERENCES part(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  moment TEXT NOT NULL CHECK (moment IN ('before-use', 'after-use')),
  saved_at TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('level', 'length', 'stage', 'gross', 'bare')),
  -- A share 0..1, or grams; a stage has no number.
  value REAL,
  unit TEXT CHECK (unit IN ('share', 'g')),
  stage TEXT CHECK (stage IN ('untouched', 'dome gone', 'dip', 'first pan', 'half bare', 'mostly bare')),
  resolution REAL CHECK (resolution > 0),
  doubtful INTEGER NOT NULL DEFAULT 0 CHECK (doubtful IN (0, 1)),
  series INTEGER NOT NULL DEFAULT 1 CHECK (series >= 1),
  note TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((kind = 'stage') = (stage IS NOT NULL)),
  CHECK ((kind = 'stage') = (value IS NULL) AND (value IS NULL) = (unit IS NULL)),
  CHECK (value IS NULL OR (unit = 'g') = (kind = 'gross')),
  CHECK (value IS NULL OR (unit = 'g' AND value > 0) OR value BETWEEN 0 AND 1)
) STRICT;
INSERT INTO measurement_made_anew (id, item_id, part_id, day, moment, saved_at, kind, value, unit, stage, resolution, doubtful,
  series, note, version)
SELECT id, item_id, part_id, day, moment,
  coalesce((SELECT c.made_at FROM change_row r JOIN change c ON c.id = r.change_id
             WHERE r.tbl = 'measurement' AND r.row_id = measurement.id AND r.before IS NULL ORDER BY r.seq LIMIT 1),
           day || 'T12:00:00.000Z'),
  kind, CASE WHEN kind <> 'stage' THEN value END, CASE kind WHEN 'stage' THEN NULL WHEN 'gross' THEN 'g' ELSE 'share' END,
  stage, resolution, doubtful, series, note, version
FROM measurement ORDER BY rowid;
DROP TABLE measurement;
ALTER TABLE measurement_made_anew RENAME TO measurement;
CREATE INDEX measurement_by_item ON measurement (item_id, day, moment, saved_at);

CREATE TABLE review_made_anew (
  id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL REFERENCES product(id),
  -- The package she had finished when she wrote it.
  item_id TEXT NOT NULL REFERENCES item(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  would_buy_again TEXT NOT NULL CHECK (would_buy_again IN ('yes', 'no', 'maybe', 'have a backup', 'discontinued')),
  words TEXT NOT NULL DEFAULT '',
  package_goes TEXT CHECK (package_goes IN ('bin', 'recycle', 'return scheme', 'keep the container')),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
INSERT INTO review_made_anew (id, product_id, item_id, day, would_buy_again, words, package_goes, version)
SELECT r.id, i.product_id, r.item_id, r.day, r.would_buy_again, r.words, r.package_goes, r.version
  FROM review r JOIN item i ON i.id = r.item_id ORDER BY r.rowid;
DROP TABLE review;
ALTER TABLE review_made_anew RENAME TO review;
CREATE INDEX review_by_item ON review (item_id);
CREATE INDEX review_by_product ON review (product_id);

-- What was left when it rolled in follows from its readings.
ALTER TABLE stay DROP COLUMN baseline_left;
ALTER TABLE stay DROP COLUMN baseline_bare;

-- The shades and the use that a saved face is worn with.
ALTER TABLE saved_face_item ADD COLUMN used_as TEXT REFERENCES category(id);

-- The name of the picture's file: what is in it, so that none is ever written over.
ALTER TABLE photo ADD COLUMN content TEXT NOT NULL DEFAULT '';
UPDATE photo SET content = id;

-- Days of which she said that they were simply not written down.
CREATE TABLE unwritten (
  id TEXT PRIMARY KEY,
  earliest TEXT NOT NULL CHECK (earliest GLOB '????-??-??'),
  latest TEXT NOT NULL CHECK (latest GLOB '????-??-??' AND latest >= earliest),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

-- What a package weighs full, as finished or cleaned: of its kind, whatever the shade.
CREATE TABLE package_weight (
  id TEXT PRIMARY KEY,
  maker TEXT NOT NULL,
  name TEXT NOT NULL,
  form TEXT NOT NULL,
  format TEXT CHECK (format IN ('full size', 'mini', 'deluxe sample', 'sachet')),
  content_amount REAL CHECK (content_amount > 0),
  content_unit TEXT CHECK (content_unit IN ('g', 'ml')),
  state TEXT NOT NULL CHECK (state IN ('full', 'as finished', 'cleaned')),
  grams REAL NOT NULL CHECK (grams > 0),
  resolution REAL CHECK (resolution > 0),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((content_amount IS NULL) = (content_unit IS NULL))
) STRICT;

-- Each taking back says what it turned, and how it stood before.
ALTER TABLE change_undoes ADD COLUMN was_by TEXT;
ALTER TABLE change_undoes ADD COLUMN now_by TEXT;
UPDATE change_undoes SET now_by = undo_id;
INSERT OR IGNORE INTO change_undoes (undo_id, change_id, was_by, now_by)
SELECT redo.undo_id, undo.change_id, undo.undo_id, NULL
  FROM change_undoes redo JOIN change_undoes undo ON undo.undo_id = redo.change_id;

-- The journal's images take the new shape, so that what was done before can still be taken back.
UPDATE change_row SET
  before = json_set(json_remove(before, '$.lifecycle', '$.import_identity'), '$.opened_by', 'she', '$.ended_as',
    CASE WHEN json_extract(before, '$.lifecycle') IN ('finished', 'left', 'blended') THEN json_extract(before, '$.lifecycle') END),
  after = json_set(json_remove(after, '$.lifecycle', '$.import_identity'), '$.opened_by', 'she', '$.ended_as',
    CASE WHEN json_extract(after, '$.lifecycle') IN ('finished', 'left', 'blended') THEN json_extract(after, '$.lifecycle') END)
 WHERE tbl = 'item';
UPDATE change_row SET
  before = json_set(before, '$.saved_at', json_extract(before, '$.day') || 'T12:00:00.000Z',
    '$.unit', CASE json_extract(before, '$.kind') WHEN 'stage' THEN NULL WHEN 'gross' THEN 'g' ELSE 'share' END,
    '$.value', CASE WHEN json_extract(before, '$.kind') <> 'stage' THEN json_extract(before, '$.value') END),
  after = json_set(after, '$.saved_at', json_extract(after, '$.day') || 'T12:00:00.000Z',
    '$.unit', CASE json_extract(after, '$.kind') WHEN 'stage' THEN NULL WHEN 'gross' THEN 'g' ELSE 'share' END,
    '$.value', CASE WHEN json_extract(after, '$.kind') <> 'stage' THEN json_extract(after, '$.value') END)
 WHERE tbl = 'measurement';
UPDATE change_row SET
  before = json_set(before, '$.product_id', (
    SELECT json_extract(coalesce(r.after, r.before), '$.product_id') FROM change_row r
     WHERE r.tbl = 'item' AND r.row_id = json_extract(change_row.before, '$.item_id') ORDER BY r.seq DESC LIMIT 1)),
  after = json_set(after, '$.product_id', (
    SELECT json_extract(coalesce(r.after, r.before), '$.product_id') FROM change_row r
     WHERE r.tbl = 'item' AND r.row_id = json_extract(change_row.after, '$.item_id') ORDER BY r.seq DESC LIMIT 1))
 WHERE tbl = 'review';
UPDATE change_row SET before = json_set(before, '$.content', row_id), after = json_set(after, '$.content', row_id)
 WHERE tbl = 'photo';
UPDATE change_row SET before = json_remove(before, '$.baseline_left', '$.baseline_bare'),
  after = json_remove(after, '$.baseline_left', '$.baseline_bare') WHERE tbl = 'stay';
