-- The plan: what she said of things and kinds, her moves, and the plans she adopted.

-- In whatever the plan says, or not now; how much it weighs; how often a week at most.
CREATE TABLE plan_word (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL UNIQUE REFERENCES item(id),
  said TEXT CHECK (said IN ('in', 'no')),
  said_on TEXT NOT NULL CHECK (said_on GLOB '????-??-??'),
  weight INTEGER CHECK (weight BETWEEN 1 AND 100),
  most_a_week INTEGER CHECK (most_a_week BETWEEN 1 AND 7),
  CHECK (said IS NOT NULL OR weight IS NOT NULL OR most_a_week IS NOT NULL)
) STRICT;

-- A move of hers: in this month it lies in the drawer, or it does not.
CREATE TABLE plan_move (
  id TEXT PRIMARY KEY,
  item_id TEXT NOT NULL REFERENCES item(id),
  month TEXT NOT NULL CHECK (month GLOB '????-??'),
  lies INTEGER NOT NULL CHECK (lies IN (0, 1)),
  UNIQUE (item_id, month)
) STRICT;

-- Uses that a kind takes of a wear day, where she says otherwise than what was learned.
CREATE TABLE plan_pace (
  id TEXT PRIMARY KEY,
  category_id TEXT NOT NULL UNIQUE REFERENCES category(id),
  per_wear_day REAL NOT NULL CHECK (per_wear_day BETWEEN 0 AND 5)
) STRICT;

-- A kind rests.
CREATE TABLE plan_break (
  id TEXT PRIMARY KEY,
  category_id TEXT NOT NULL REFERENCES category(id),
  from_day TEXT NOT NULL CHECK (from_day GLOB '????-??-??'),
  to_day TEXT NOT NULL CHECK (to_day GLOB '????-??-??' AND to_day >= from_day)
) STRICT;

-- A plan she adopted; one is in force, until another replaces it or she drops it.
CREATE TABLE plan (
  id TEXT PRIMARY KEY,
  adopted_on TEXT NOT NULL CHECK (adopted_on GLOB '????-??-??'),
  ended_on TEXT CHECK (ended_on GLOB '????-??-??'),
  project_id TEXT REFERENCES project(id),
  -- How it was asked for.
  setup TEXT NOT NULL CHECK (json_valid(setup)),
  -- Its months and weeks, in order.
  months TEXT NOT NULL CHECK (json_valid(months)),
  weeks TEXT NOT NULL CHECK (json_valid(weeks)),
  -- What it came to when it was adopted.
  done_of INTEGER NOT NULL CHECK (done_of >= 0),
  done_low INTEGER NOT NULL CHECK (done_low >= 0),
  done_high INTEGER NOT NULL CHECK (done_high >= done_low AND done_high <= done_of)
) STRICT;
CREATE UNIQUE INDEX plan_once_in_force ON plan ((ended_on IS NULL)) WHERE ended_on IS NULL;
CREATE TABLE plan_line (
  id TEXT PRIMARY KEY,
  plan_id TEXT NOT NULL REFERENCES plan(id),
  item_id TEXT NOT NULL REFERENCES item(id),
  -- Whether it lies in the drawer, month by month, and its uses, week by week.
  lies TEXT NOT NULL CHECK (json_valid(lies)),
  uses TEXT NOT NULL CHECK (json_valid(uses)),
  needed INTEGER NOT NULL CHECK (needed >= 1),
  -- What it was used towards: the goal of its project, or its end.
  toward TEXT NOT NULL CHECK (toward IN ('goal', 'end')),
  finishes INTEGER NOT NULL CHECK (finishes IN (0, 1)),
  low_day TEXT CHECK (low_day GLOB '????-??-??'),
  high_day TEXT CHECK (high_day GLOB '????-??-??'),
  UNIQUE (plan_id, item_id)
) STRICT;
CREATE INDEX plan_line_by_item ON plan_line (item_id);
