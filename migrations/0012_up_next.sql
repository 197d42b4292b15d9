-- What is up next stands in the user's own order. A place between two others is their middle, so that a move changes one row.
ALTER TABLE short_list ADD COLUMN place REAL NOT NULL DEFAULT 0;
UPDATE short_list SET place = (
  SELECT count(*) FROM short_list o
   WHERE o.added_on < short_list.added_on OR (o.added_on = short_list.added_on AND o.rowid <= short_list.rowid)
);
