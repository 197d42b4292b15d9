-- References that had no index: where a row goes, whatever refers to it is looked for. Most of these columns are empty in most rows,
-- and rows without a value are in none of these.
CREATE INDEX item_by_origin ON item (origin_item_id) WHERE origin_item_id IS NOT NULL;
CREATE INDEX item_by_use ON item (used_as) WHERE used_as IS NOT NULL;
CREATE INDEX wear_by_mix ON wear (mix_id) WHERE mix_id IS NOT NULL;
CREATE INDEX wear_by_use ON wear (used_as) WHERE used_as IS NOT NULL;
CREATE INDEX photo_by_part ON photo (part_id) WHERE part_id IS NOT NULL;
CREATE INDEX measurement_by_part ON measurement (part_id) WHERE part_id IS NOT NULL;
CREATE INDEX event_by_part ON item_event (part_id) WHERE part_id IS NOT NULL;
CREATE INDEX event_by_container ON item_event (container_id) WHERE container_id IS NOT NULL;
CREATE INDEX stay_by_part ON stay (part_id) WHERE part_id IS NOT NULL;
CREATE INDEX stay_by_origin ON stay (carried_from) WHERE carried_from IS NOT NULL;
CREATE INDEX blend_by_parent ON blend_parent (parent_item_id);
CREATE INDEX face_item_by_item ON saved_face_item (item_id);
CREATE INDEX choice_by_item ON laying_choice (item_id);
CREATE INDEX verdict_by_trial ON verdict (trial_id) WHERE trial_id IS NOT NULL;
