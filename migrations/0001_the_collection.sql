-- Products, items and their parts; categories and zones; wears and days; measurements and events;
-- projects and stays; placements; trials, verdicts and reviews; settings; the journal of changes.
-- Days are calendar dates (TEXT, 2026-11-24); instants are UTC (TEXT, ISO 8601); money is minor units.

CREATE TABLE setting (
  id TEXT PRIMARY KEY,
  value TEXT NOT NULL CHECK (json_valid(value)),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE zone (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  slots INTEGER NOT NULL CHECK (slots BETWEEN 0 AND 200),
  position INTEGER NOT NULL,
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE category (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  position INTEGER NOT NULL,
  makeup INTEGER NOT NULL CHECK (makeup IN (0, 1)),
  zone_id TEXT NOT NULL REFERENCES zone(id),
  usual_form TEXT NOT NULL,
  model_type TEXT NOT NULL,
  eye INTEGER NOT NULL CHECK (eye IN (0, 1)),
  lip INTEGER NOT NULL CHECK (lip IN (0, 1)),
  words TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(words)),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE product (
  id TEXT PRIMARY KEY,
  maker TEXT NOT NULL,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 200),
  shade TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE INDEX product_by_words ON product (maker, name, shade);

CREATE TABLE item (
  id TEXT PRIMARY KEY,
  product_id TEXT NOT NULL REFERENCES product(id),
  category_id TEXT NOT NULL REFERENCES category(id),
  used_as TEXT REFERENCES category(id),
  form TEXT NOT NULL,
  colour TEXT CHECK (colour GLOB '#[0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f]'),
  finish TEXT CHECK (finish IN ('matte', 'satin', 'shimmer', 'metallic', 'sheer')),
  opaque INTEGER NOT NULL DEFAULT 0 CHECK (opaque IN (0, 1)),
  slots INTEGER NOT NULL DEFAULT 1 CHECK (slots BETWEEN 1 AND 12),
  format TEXT CHECK (format IN ('full size', 'mini', 'deluxe sample', 'sachet')),
  content_amount REAL CHECK (content_amount > 0),
  content_unit TEXT CHECK (content_unit IN ('g', 'ml')),
  price_minor INTEGER CHECK (price_minor >= 0),
  price_said TEXT,
  source TEXT CHECK (source IN ('bought', 'gift', 'swap', 'subscription', 'points')),
  acquired_earliest TEXT CHECK (acquired_earliest GLOB '????-??-??'),
  acquired_latest TEXT CHECK (acquired_latest GLOB '????-??-??'),
  opened_kind TEXT NOT NULL CHECK (opened_kind IN ('unopened', 'unknown', 'range')),
  opened_earliest TEXT CHECK (opened_earliest GLOB '????-??-??'),
  opened_latest TEXT CHECK (opened_latest GLOB '????-??-??'),
  opened_said TEXT,
  pao_months INTEGER CHECK (pao_months BETWEEN 1 AND 120),
  expiry TEXT CHECK (expiry GLOB '????-??-??'),
  sun_protection INTEGER NOT NULL DEFAULT 0 CHECK (sun_protection IN (0, 1)),
  sign_day TEXT CHECK (sign_day GLOB '????-??-??'),
  sign_words TEXT,
  uses_before INTEGER NOT NULL DEFAULT 0 CHECK (uses_before BETWEEN 0 AND 100000),
  liking INTEGER CHECK (liking BETWEEN 1 AND 5),
  lifecycle TEXT NOT NULL CHECK (lifecycle IN ('unopened', 'open', 'finished', 'left', 'blended')),
  ended_on TEXT CHECK (ended_on GLOB '????-??-??'),
  location TEXT NOT NULL DEFAULT 'resting'
    CHECK (location IN ('zone', 'resting', 'season box', 'travel', 'handbag', 'backups box')),
  location_until TEXT CHECK (location_until GLOB '????-??-??'),
  origin_item_id TEXT REFERENCES item(id),
  notes TEXT NOT NULL DEFAULT '',
  kept_text TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(kept_text)),
  import_identity TEXT,
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((opened_kind = 'range') = (opened_earliest IS NOT NULL AND opened_latest IS NOT NULL)),
  CHECK (opened_earliest IS NULL OR opened_earliest <= opened_latest),
  CHECK ((content_amount IS NULL) = (content_unit IS NULL)),
  CHECK ((acquired_earliest IS NULL) = (acquired_latest IS NULL)),
  CHECK ((lifecycle = 'unopened') = (opened_kind = 'unopened') OR lifecycle IN ('finished', 'left', 'blended')),
  CHECK ((ended_on IS NULL) = (lifecycle IN ('unopened', 'open'))),
  CHECK ((sign_day IS NULL) = (sign_words IS NULL))
) STRICT;
CREATE INDEX item_by_product ON item (product_id);
CREATE INDEX item_by_category ON item (category_id);
CREATE INDEX item_by_lifecycle ON item (lifecycle);

CREATE TABLE part (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  name TEXT NOT NULL,
  colour TEXT CHECK (colour GLOB '#[0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f]'),
  finish TEXT CHECK (finish IN ('matte', 'satin', 'shimmer', 'metallic', 'sheer')),
  row INTEGER NOT NULL CHECK (row BETWEEN 1 AND 30),
  col INTEGER NOT NULL CHECK (col BETWEEN 1 AND 30),
  row_span INTEGER NOT NULL DEFAULT 1 CHECK (row_span BETWEEN 1 AND 30),
  col_span INTEGER NOT NULL DEFAULT 1 CHECK (col_span BETWEEN 1 AND 30),
  shape TEXT NOT NULL DEFAULT 'square' CHECK (shape IN ('square', 'round')),
  finished_on TEXT CHECK (finished_on GLOB '????-??-??'),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE INDEX part_by_item ON part (item_id);

CREATE TABLE blend_parent (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  parent_item_id TEXT NOT NULL REFERENCES item(id),
  grams REAL CHECK (grams > 0),
  share REAL CHECK (share > 0 AND share <= 1),
  UNIQUE (item_id, parent_item_id)
) STRICT;

CREATE TABLE mix (
  id TEXT PRIMARY KEY,
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  ratio TEXT NOT NULL
) STRICT;

CREATE TABLE wear (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  used_as TEXT REFERENCES category(id),
  amount REAL CHECK (amount > 0),
  amount_unit TEXT CHECK (amount_unit IN ('pumps', 'drops', 'sprays', 'sharpenings')),
  felt TEXT,
  mix_id TEXT REFERENCES mix(id),
  UNIQUE (item_id, day)
) STRICT;
CREATE INDEX wear_by_day ON wear (day, item_id);

CREATE TABLE wear_part (
  id TEXT PRIMARY KEY,
  wear_id TEXT NOT NULL REFERENCES wear(id),
  part_id TEXT NOT NULL REFERENCES part(id),
  UNIQUE (wear_id, part_id)
) STRICT;
CREATE INDEX wear_part_by_part ON wear_part (part_id);

-- One row per day about which she said something beyond ticks; the id is the day.
CREATE TABLE day_record (
  id TEXT PRIMARY KEY CHECK (id GLOB '????-??-??'),
  no_makeup INTEGER NOT NULL DEFAULT 0 CHECK (no_makeup IN (0, 1)),
  skin TEXT,
  clothes TEXT,
  minutes INTEGER CHECK (minutes BETWEEN 1 AND 600),
  occasion TEXT,
  note TEXT,
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE away (
  id TEXT PRIMARY KEY,
  earliest TEXT NOT NULL CHECK (earliest GLOB '????-??-??'),
  latest TEXT NOT NULL CHECK (latest GLOB '????-??-??' AND latest >= earliest),
  words TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE measurement (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  part_id TEXT REFERENCES part(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  moment TEXT NOT NULL CHECK (moment IN ('before-use', 'after-use')),
  kind TEXT NOT NULL CHECK (kind IN ('level', 'length', 'stage', 'gross', 'bare')),
  value REAL NOT NULL,
  stage TEXT CHECK (stage IN ('untouched', 'dome gone', 'dip', 'first pan', 'half bare', 'mostly bare')),
  resolution REAL,
  doubtful INTEGER NOT NULL DEFAULT 0 CHECK (doubtful IN (0, 1)),
  series INTEGER NOT NULL DEFAULT 1 CHECK (series >= 1),
  note TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((kind = 'stage') = (stage IS NOT NULL)),
  CHECK (kind IN ('gross', 'stage') OR value BETWEEN 0 AND 1)
) STRICT;
CREATE INDEX measurement_by_item ON measurement (item_id, day);

CREATE TABLE item_event (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  part_id TEXT REFERENCES part(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  kind TEXT NOT NULL,
  words TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE INDEX item_event_by_item ON item_event (item_id, day);

CREATE TABLE project (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
  shape TEXT NOT NULL CHECK (shape IN ('rolling', 'season', 'year-long', 'until done', 'sweep', 'palette')),
  started_on TEXT NOT NULL CHECK (started_on GLOB '????-??-??'),
  by_day TEXT CHECK (by_day GLOB '????-??-??'),
  finishes_wanted INTEGER CHECK (finishes_wanted BETWEEN 1 AND 1000),
  rules TEXT NOT NULL DEFAULT '',
  closed_on TEXT CHECK (closed_on GLOB '????-??-??'),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE stay (
  id TEXT PRIMARY KEY,
  project_id TEXT NOT NULL REFERENCES project(id),
  item_id TEXT NOT NULL REFERENCES item(id),
  part_id TEXT REFERENCES part(id),
  rolled_in TEXT NOT NULL CHECK (rolled_in GLOB '????-??-??'),
  rolled_out TEXT CHECK (rolled_out GLOB '????-??-??' AND rolled_out >= rolled_in),
  out_reason TEXT CHECK (out_reason IN ('met', 'finished', 'left unfinished', 'let go')),
  out_words TEXT NOT NULL DEFAULT '',
  goal_kind TEXT NOT NULL
    CHECK (goal_kind IN ('finish', 'uses', 'hit pan', 'expand pan', 'level', 'keep using', 'find a use')),
  goal_target REAL,
  baseline_left REAL CHECK (baseline_left BETWEEN 0 AND 1),
  head_start INTEGER NOT NULL DEFAULT 0 CHECK (head_start BETWEEN 0 AND 100000),
  by_kind TEXT NOT NULL CHECK (by_kind IN ('own', 'project', 'none')),
  by_day TEXT CHECK (by_day GLOB '????-??-??'),
  pinned INTEGER NOT NULL DEFAULT 0 CHECK (pinned IN (0, 1)),
  guess_months REAL CHECK (guess_months > 0),
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((by_kind = 'own') = (by_day IS NOT NULL)),
  CHECK ((rolled_out IS NULL) = (out_reason IS NULL)),
  CHECK (goal_kind <> 'uses' OR goal_target >= 1)
) STRICT;
CREATE INDEX stay_by_item ON stay (item_id);
CREATE UNIQUE INDEX stay_once_at_a_time ON stay (project_id, item_id, coalesce(part_id, '')) WHERE rolled_out IS NULL;

CREATE TABLE placement (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  zone_id TEXT NOT NULL REFERENCES zone(id),
  from_day TEXT NOT NULL CHECK (from_day GLOB '????-??-??'),
  to_day TEXT CHECK (to_day GLOB '????-??-??' AND to_day >= from_day),
  position INTEGER NOT NULL
) STRICT;
CREATE UNIQUE INDEX placement_once_at_a_time ON placement (item_id) WHERE to_day IS NULL;
CREATE INDEX placement_by_zone ON placement (zone_id) WHERE to_day IS NULL;

CREATE TABLE trial (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  started_on TEXT NOT NULL CHECK (started_on GLOB '????-??-??'),
  due_on TEXT NOT NULL CHECK (due_on GLOB '????-??-??' AND due_on >= started_on),
  wears_wanted INTEGER NOT NULL CHECK (wears_wanted BETWEEN 1 AND 365),
  question TEXT NOT NULL DEFAULT '',
  closed_on TEXT CHECK (closed_on GLOB '????-??-??'),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE UNIQUE INDEX trial_once_at_a_time ON trial (item_id) WHERE closed_on IS NULL;

CREATE TABLE verdict (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  trial_id TEXT REFERENCES trial(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  verdict TEXT NOT NULL CHECK (verdict IN
    ('keep', 'keep and use', 'once more, otherwise', 'rest until a date', 'use up as something else', 'let go')),
  reason TEXT NOT NULL DEFAULT '',
  destination TEXT CHECK (destination IN
    ('bin', 'recycle', 'return scheme', 'give', 'swap', 'donate', 'sell', 'repurpose', 'keep the container')),
  until_day TEXT CHECK (until_day GLOB '????-??-??'),
  used_as TEXT REFERENCES category(id),
  CHECK ((verdict = 'let go') = (destination IS NOT NULL)),
  CHECK ((verdict = 'rest until a date') = (until_day IS NOT NULL)),
  CHECK ((verdict = 'use up as something else') = (used_as IS NOT NULL))
) STRICT;
CREATE INDEX verdict_by_item ON verdict (item_id);

-- One review per finished item: what was known at the end, and what she thought.
CREATE TABLE review (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL UNIQUE REFERENCES item(id),
  day TEXT NOT NULL CHECK (day GLOB '????-??-??'),
  would_buy_again TEXT NOT NULL CHECK (would_buy_again IN ('yes', 'no', 'maybe', 'have a backup', 'discontinued')),
  words TEXT NOT NULL DEFAULT '',
  package_goes TEXT CHECK (package_goes IN ('bin', 'recycle', 'return scheme', 'keep the container')),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

-- The journal. Not itself journalled.
CREATE TABLE change (
  seq INTEGER PRIMARY KEY,
  id TEXT NOT NULL UNIQUE,
  command TEXT NOT NULL,
  body TEXT NOT NULL,
  words TEXT NOT NULL,
  made_at TEXT NOT NULL,
  answer TEXT NOT NULL CHECK (json_valid(answer)),
  changed INTEGER NOT NULL CHECK (changed IN (0, 1)),
  is_undo INTEGER NOT NULL DEFAULT 0 CHECK (is_undo IN (0, 1)),
  undone_by TEXT
) STRICT;

CREATE TABLE change_row (
  seq INTEGER PRIMARY KEY,
  change_id TEXT NOT NULL,
  tbl TEXT NOT NULL,
  row_id TEXT NOT NULL,
  before TEXT,
  after TEXT
) STRICT;
CREATE INDEX change_row_by_change ON change_row (change_id);
CREATE INDEX change_row_by_row ON change_row (tbl, row_id);

CREATE TABLE change_undoes (
  undo_id TEXT NOT NULL,
  change_id TEXT NOT NULL,
  PRIMARY KEY (undo_id, change_id)
) STRICT, WITHOUT ROWID;
