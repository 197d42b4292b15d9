-- Evidence, trials, verdicts carried out, what is set aside, handing over, targets, wishes and rules of buying, lessons.

-- Several things held in one face are one trial of many: each with its own verdict.
ALTER TABLE trial ADD COLUMN set_id TEXT;
-- What is to be otherwise this time.
ALTER TABLE trial ADD COLUMN otherwise TEXT CHECK (otherwise IN ('base', 'season', 'tool'));
CREATE INDEX trial_by_set ON trial (set_id) WHERE set_id IS NOT NULL;
UPDATE change_row SET
  before = CASE WHEN before IS NULL THEN NULL ELSE json_set(before, '$.set_id', NULL, '$.otherwise', NULL) END,
  after = CASE WHEN after IS NULL THEN NULL ELSE json_set(after, '$.set_id', NULL, '$.otherwise', NULL) END
 WHERE tbl = 'trial';

-- How a wear felt, in one tap for each thing that can be felt.
CREATE TABLE feeling (
  id TEXT PRIMARY KEY,
  wear_id TEXT NOT NULL REFERENCES wear(id),
  aspect TEXT NOT NULL CHECK (aspect IN ('in all', 'wear time', 'shade', 'feel', 'fuss')),
  felt TEXT NOT NULL CHECK (felt IN ('good', 'so-so', 'bad')),
  UNIQUE (wear_id, aspect)
) STRICT;

-- Why it goes, to whom, when it was handed over, and what she thought of it later.
ALTER TABLE verdict ADD COLUMN why TEXT CHECK (why IN
  ('expired', 'sign', 'reaction', 'shade', 'feel', 'too many', 'never reached for', 'package', 'other'));
ALTER TABLE verdict ADD COLUMN to_whom TEXT NOT NULL DEFAULT '';
ALTER TABLE verdict ADD COLUMN handed_on TEXT CHECK (handed_on GLOB '????-??-??');
ALTER TABLE verdict ADD COLUMN regret_on TEXT CHECK (regret_on GLOB '????-??-??');
ALTER TABLE verdict ADD COLUMN regret_words TEXT NOT NULL DEFAULT '';
UPDATE change_row SET
  before = CASE WHEN before IS NULL THEN NULL ELSE json_set(before, '$.why', NULL, '$.to_whom', '', '$.handed_on', NULL,
    '$.regret_on', NULL, '$.regret_words', '') END,
  after = CASE WHEN after IS NULL THEN NULL ELSE json_set(after, '$.why', NULL, '$.to_whom', '', '$.handed_on', NULL,
    '$.regret_on', NULL, '$.regret_words', '') END
 WHERE tbl = 'verdict';
-- What was let go before this was asked is not still waiting in a bag.
UPDATE verdict SET handed_on = day WHERE verdict = 'let go';

-- Kept to look at, not to use; or kept for occasions, perhaps for one day.
CREATE TABLE set_aside (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL UNIQUE REFERENCES item(id),
  kind TEXT NOT NULL CHECK (kind IN ('keepsake', 'special')),
  for_day TEXT CHECK (for_day GLOB '????-??-??'),
  words TEXT NOT NULL DEFAULT '',
  since TEXT NOT NULL CHECK (since GLOB '????-??-??'),
  version INTEGER NOT NULL DEFAULT 1,
  CHECK (for_day IS NULL OR kind = 'special')
) STRICT;

-- A few neglected things in reach for a while, beside the project.
CREATE TABLE stash_pick (
  id TEXT PRIMARY KEY,
  from_day TEXT NOT NULL CHECK (from_day GLOB '????-??-??'),
  to_day TEXT NOT NULL CHECK (to_day GLOB '????-??-??' AND to_day >= from_day),
  closed_on TEXT CHECK (closed_on GLOB '????-??-??'),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE UNIQUE INDEX stash_pick_once_at_a_time ON stash_pick ((closed_on IS NULL)) WHERE closed_on IS NULL;
CREATE TABLE stash_pick_item (
  id TEXT PRIMARY KEY,
  stash_pick_id TEXT NOT NULL REFERENCES stash_pick(id),
  item_id TEXT NOT NULL REFERENCES item(id),
  -- Whether it was laid in for this, and is to go back when it ends.
  laid INTEGER NOT NULL DEFAULT 1 CHECK (laid IN (0, 1)),
  ending TEXT CHECK (ending IN ('goes back', 'stays', 'goes on trial')),
  UNIQUE (stash_pick_id, item_id)
) STRICT;
CREATE INDEX stash_pick_item_by_item ON stash_pick_item (item_id);

-- So many of a category by a day.
CREATE TABLE target (
  id TEXT PRIMARY KEY,
  category_id TEXT NOT NULL UNIQUE REFERENCES category(id),
  items INTEGER NOT NULL CHECK (items BETWEEN 0 AND 5000),
  by_day TEXT NOT NULL CHECK (by_day GLOB '????-??-??'),
  set_on TEXT NOT NULL CHECK (set_on GLOB '????-??-??'),
  version INTEGER NOT NULL DEFAULT 1
) STRICT;

-- What she would like, why, and until when she waits before it is bought.
CREATE TABLE wish (
  id TEXT PRIMARY KEY,
  category_id TEXT NOT NULL REFERENCES category(id),
  maker TEXT NOT NULL DEFAULT '',
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 200),
  shade TEXT NOT NULL DEFAULT '',
  colour TEXT CHECK (colour GLOB '#[0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f]'),
  finish TEXT CHECK (finish IN ('matte', 'satin', 'shimmer', 'metallic', 'sheer')),
  price_minor INTEGER CHECK (price_minor >= 0),
  reason TEXT NOT NULL DEFAULT '',
  wished_on TEXT NOT NULL CHECK (wished_on GLOB '????-??-??'),
  wait_until TEXT CHECK (wait_until GLOB '????-??-??'),
  ended_as TEXT CHECK (ended_as IN ('bought', 'dropped')),
  ended_on TEXT CHECK (ended_on GLOB '????-??-??'),
  item_id TEXT REFERENCES item(id),
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((ended_as IS NULL) = (ended_on IS NULL)),
  CHECK (ended_as IS 'bought' OR item_id IS NULL)
) STRICT;
CREATE INDEX wish_by_category ON wish (category_id);
CREATE INDEX wish_by_item ON wish (item_id);

-- A limit on buying that she set herself: none at all, or so many.
CREATE TABLE buying_rule (
  id TEXT PRIMARY KEY,
  from_day TEXT NOT NULL CHECK (from_day GLOB '????-??-??'),
  to_day TEXT NOT NULL CHECK (to_day GLOB '????-??-??' AND to_day >= from_day),
  most INTEGER NOT NULL CHECK (most BETWEEN 0 AND 1000),
  -- One category, or everything.
  category_id TEXT REFERENCES category(id),
  -- What takes the place of something finished meanwhile is not counted.
  spares_replacements INTEGER NOT NULL DEFAULT 0 CHECK (spares_replacements IN (0, 1)),
  words TEXT NOT NULL DEFAULT '',
  version INTEGER NOT NULL DEFAULT 1
) STRICT;
CREATE TABLE buying_exception (
  id TEXT PRIMARY KEY,
  buying_rule_id TEXT NOT NULL REFERENCES buying_rule(id),
  category_id TEXT NOT NULL REFERENCES category(id),
  most INTEGER NOT NULL CHECK (most BETWEEN 1 AND 1000),
  words TEXT NOT NULL DEFAULT '',
  UNIQUE (buying_rule_id, category_id)
) STRICT;

-- What she learned; what her numbers show carries the rule and what it is about, so that it is offered once.
CREATE TABLE lesson (
  id TEXT PRIMARY KEY,
  words TEXT NOT NULL CHECK (length(words) BETWEEN 1 AND 400),
  prompted_by TEXT NOT NULL CHECK (prompted_by IN ('finale', 'verdict', 'empty', 'numbers', 'herself')),
  rule TEXT,
  about TEXT,
  -- On how many things it stood when it was kept or struck.
  count INTEGER CHECK (count >= 0),
  item_id TEXT REFERENCES item(id),
  category_id TEXT REFERENCES category(id),
  kept_on TEXT NOT NULL CHECK (kept_on GLOB '????-??-??'),
  struck_on TEXT CHECK (struck_on GLOB '????-??-??'),
  version INTEGER NOT NULL DEFAULT 1,
  CHECK ((rule IS NULL) = (about IS NULL) AND (rule IS NULL) = (count IS NULL))
) STRICT;
CREATE UNIQUE INDEX lesson_once ON lesson (rule, about) WHERE rule IS NOT NULL;
CREATE INDEX lesson_by_item ON lesson (item_id);

-- What ended it, what was left, and a review that helps whoever stands before the same shelf again.
ALTER TABLE review ADD COLUMN ended_by TEXT CHECK (ended_by IN
  ('nothing comes out', 'cannot be reached', 'counted early', 'spoiled'));
ALTER TABLE review ADD COLUMN remained REAL CHECK (remained BETWEEN 0 AND 1);
ALTER TABLE review ADD COLUMN did TEXT NOT NULL DEFAULT '';
ALTER TABLE review ADD COLUMN for_whom TEXT NOT NULL DEFAULT '';
ALTER TABLE review ADD COLUMN dislikes TEXT NOT NULL DEFAULT '';
ALTER TABLE review ADD COLUMN again_why TEXT NOT NULL DEFAULT '';
ALTER TABLE review ADD COLUMN replaced_by TEXT NOT NULL DEFAULT '';
ALTER TABLE review ADD COLUMN replaced_by_item_id TEXT REFERENCES item(id);
CREATE INDEX review_by_replacement ON review (replaced_by_item_id) WHERE replaced_by_item_id IS NOT NULL;
UPDATE change_row SET
  before = CASE WHEN before IS NULL THEN NULL ELSE json_set(before, '$.ended_by', NULL, '$.remained', NULL, '$.did', '',
    '$.for_whom', '', '$.dislikes', '', '$.again_why', '', '$.replaced_by', '', '$.replaced_by_item_id', NULL) END,
  after = CASE WHEN after IS NULL THEN NULL ELSE json_set(after, '$.ended_by', NULL, '$.remained', NULL, '$.did', '',
    '$.for_whom', '', '$.dislikes', '', '$.again_why', '', '$.replaced_by', '', '$.replaced_by_item_id', NULL) END
 WHERE tbl = 'review';

-- The colour a mix was aimed at.
ALTER TABLE pair ADD COLUMN target_colour TEXT
  CHECK (target_colour GLOB '#[0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f]');
UPDATE change_row SET
  before = CASE WHEN before IS NULL THEN NULL ELSE json_set(before, '$.target_colour', NULL) END,
  after = CASE WHEN after IS NULL THEN NULL ELSE json_set(after, '$.target_colour', NULL) END
 WHERE tbl = 'pair';
CREATE INDEX wear_in_mix ON wear (item_id) WHERE mix_id IS NOT NULL;
