-- What is spoiled or no longer wanted can be let go while the drawer is laid, with where it goes.
CREATE TABLE laying_choice_made_anew (
  id TEXT PRIMARY KEY,
  laying_id TEXT NOT NULL REFERENCES laying(id),
  item_id TEXT NOT NULL REFERENCES item(id),
  choice TEXT NOT NULL CHECK (choice IN ('stays', 'comes in', 'put away', 'rests', 'doubtful', 'let go')),
  until_day TEXT CHECK (until_day GLOB '????-??-??'),
  destination TEXT CHECK (destination IN
    ('bin', 'recycle', 'return scheme', 'give', 'swap', 'donate', 'sell', 'repurpose', 'keep the container')),
  UNIQUE (laying_id, item_id),
  CHECK ((choice = 'put away') = (until_day IS NOT NULL)),
  CHECK ((choice = 'let go') = (destination IS NOT NULL))
) STRICT;
INSERT INTO laying_choice_made_anew (id, laying_id, item_id, choice, until_day)
SELECT id, laying_id, item_id, choice, until_day FROM laying_choice ORDER BY rowid;
DROP TABLE laying_choice;
ALTER TABLE laying_choice_made_anew RENAME TO laying_choice;
UPDATE change_row SET
  before = CASE WHEN before IS NULL THEN NULL ELSE json_set(before, '$.destination', NULL) END,
  after = CASE WHEN after IS NULL THEN NULL ELSE json_set(after, '$.destination', NULL) END
 WHERE tbl = 'laying_choice';
