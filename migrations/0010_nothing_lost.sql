-- The day an item was written down, in its owner's own day; a version for how a thing was worn. What earlier migrations changed
-- in rows is changed in the journal's images too, so that what was done under any schema can be taken back.
-- Columns that were added without images are filled in by the runner, for every migration (db/journal-images.ts).

ALTER TABLE item ADD COLUMN added_on TEXT CHECK (added_on GLOB '????-??-??');
UPDATE item SET added_on = (
  SELECT date(min(c.made_at), 'localtime',
              '-' || coalesce((SELECT json_extract(value, '$.rollOverHour') FROM setting WHERE id = 'settings'), 4) || ' hours')
    FROM change_row r JOIN change c ON c.id = r.change_id
   WHERE r.tbl = 'item' AND r.row_id = item.id AND r.before IS NULL);
UPDATE change_row SET
  before = json_set(before, '$.added_on', (SELECT added_on FROM item WHERE id = change_row.row_id)),
  after = json_set(after, '$.added_on', (SELECT added_on FROM item WHERE id = change_row.row_id))
 WHERE tbl = 'item';

ALTER TABLE wear ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
UPDATE change_row SET before = json_set(before, '$.version', 1), after = json_set(after, '$.version', 1) WHERE tbl = 'wear';

-- 0002: what had shades became a palette.
UPDATE change_row SET
  before = json_set(before, '$.structure', 'palette'),
  after = json_set(after, '$.structure', 'palette')
 WHERE tbl = 'item' AND json_type(coalesce(after, before), '$.structure') IS NULL
   AND EXISTS (SELECT 1 FROM change_row p WHERE p.tbl = 'part' AND json_extract(coalesce(p.after, p.before), '$.item_id') = change_row.row_id);
-- 0003: ends that stood in the wrong order were exchanged.
UPDATE change_row SET
  before = json_set(before, '$.acquired_earliest', min(before ->> 'acquired_earliest', before ->> 'acquired_latest'),
    '$.acquired_latest', max(before ->> 'acquired_earliest', before ->> 'acquired_latest'))
 WHERE tbl = 'item' AND before ->> 'acquired_earliest' > before ->> 'acquired_latest';
UPDATE change_row SET
  after = json_set(after, '$.acquired_earliest', min(after ->> 'acquired_earliest', after ->> 'acquired_latest'),
    '$.acquired_latest', max(after ->> 'acquired_earliest', after ->> 'acquired_latest'))
 WHERE tbl = 'item' AND after ->> 'acquired_earliest' > after ->> 'acquired_latest';
-- 0003: of products with the same words one was kept; the images of the others point to it.
CREATE TEMP TABLE kept_product AS
SELECT r.row_id AS gone, p.id AS kept
  FROM change_row r JOIN product p ON p.maker = r.after ->> 'maker' AND p.name = r.after ->> 'name' AND p.shade = r.after ->> 'shade'
 WHERE r.tbl = 'product' AND r.row_id NOT IN (SELECT id FROM product)
   AND r.seq = (SELECT max(last.seq) FROM change_row last WHERE last.tbl = 'product' AND last.row_id = r.row_id);
UPDATE change_row SET
  before = json_set(before, '$.product_id', (SELECT kept FROM kept_product WHERE gone = before ->> 'product_id'))
 WHERE tbl IN ('item', 'review') AND before ->> 'product_id' IN (SELECT gone FROM kept_product);
UPDATE change_row SET
  after = json_set(after, '$.product_id', (SELECT kept FROM kept_product WHERE gone = after ->> 'product_id'))
 WHERE tbl IN ('item', 'review') AND after ->> 'product_id' IN (SELECT gone FROM kept_product);
DROP TABLE kept_product;
-- 0003 and 0005 made rows of what a change had written into others: they belong to that change.
INSERT INTO change_row (change_id, tbl, row_id, before, after)
SELECT r.change_id, 'import_mark', m.id, NULL, json_object('id', m.id, 'item_id', m.item_id, 'identity', m.identity)
  FROM import_mark m JOIN change_row r ON r.tbl = 'item' AND r.row_id = m.item_id AND r.before IS NULL
 WHERE NOT EXISTS (SELECT 1 FROM change_row own WHERE own.tbl = 'import_mark' AND own.row_id = m.id);
INSERT INTO change_row (change_id, tbl, row_id, before, after)
SELECT r.change_id, 'kept_container', k.id, NULL, json_object('id', k.id, 'words', k.words, 'form', k.form, 'grams', k.grams,
         'resolution', k.resolution, 'item_id', k.item_id, 'kept_on', k.kept_on, 'gone_on', k.gone_on, 'version', k.version)
  FROM kept_container k JOIN change_row r ON r.tbl = 'review' AND r.before IS NULL AND r.after ->> 'item_id' = k.item_id
 WHERE NOT EXISTS (SELECT 1 FROM change_row own WHERE own.tbl = 'kept_container' AND own.row_id = k.id)
 GROUP BY k.id;
-- 0005: events got the time they were saved, and kinds that are told apart.
UPDATE change_row SET
  before = json_set(before, '$.saved_at', before ->> 'day' || 'T12:00:00.000Z',
    '$.words', CASE WHEN before ->> 'kind' IN ('repressed', 'decanted', 'cut open', 'stopper removed', 'depotted', 'broken', 'spilt')
                    THEN before ->> 'words' ELSE trim(before ->> 'kind' || ' ' || (before ->> 'words')) END,
    '$.kind', CASE WHEN before ->> 'kind' IN ('repressed', 'decanted', 'cut open', 'stopper removed', 'depotted', 'broken', 'spilt')
                   THEN before ->> 'kind' ELSE 'broken' END),
  after = json_set(after, '$.saved_at', after ->> 'day' || 'T12:00:00.000Z',
    '$.words', CASE WHEN after ->> 'kind' IN ('repressed', 'decanted', 'cut open', 'stopper removed', 'depotted', 'broken', 'spilt')
                    THEN after ->> 'words' ELSE trim(after ->> 'kind' || ' ' || (after ->> 'words')) END,
    '$.kind', CASE WHEN after ->> 'kind' IN ('repressed', 'decanted', 'cut open', 'stopper removed', 'depotted', 'broken', 'spilt')
                   THEN after ->> 'kind' ELSE 'broken' END)
 WHERE tbl = 'item_event' AND json_type(coalesce(after, before), '$.saved_at') IS NULL;
-- 0007: what had been let go by then was no longer waiting to be handed over.
UPDATE change_row SET
  before = CASE WHEN before ->> 'verdict' = 'let go' THEN json_set(before, '$.handed_on', before ->> 'day') ELSE before END,
  after = CASE WHEN after ->> 'verdict' = 'let go' THEN json_set(after, '$.handed_on', after ->> 'day') ELSE after END
 WHERE tbl = 'verdict' AND coalesce(after ->> 'handed_on', before ->> 'handed_on') IS NULL
   AND (SELECT c.made_at FROM change c WHERE c.id = change_row.change_id) < (SELECT applied_at FROM migration WHERE number = 7);

-- Which collection this is, whatever address it is served at: an act that waits elsewhere is stored in its own and in no other.
CREATE TABLE collection (
  id TEXT PRIMARY KEY CHECK (length(id) = 32)
) STRICT;
INSERT INTO collection (id) VALUES (lower(hex(randomblob(16))));
