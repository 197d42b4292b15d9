import type { Db } from './query.js'

export interface Breach {
  readonly rule: string
  readonly tbl: string
  readonly row_id: string
}

/**
 * What is always so, whatever was done and taken back: each rule in the words that complete "It would leave …", with a query
 * that finds the rows which break it. Data table.
 */
export const HOUSE_RULES: readonly { readonly says: string; readonly sql: string }[] = [
  {
    says: 'makeup ticked on a day of no makeup',
    sql: `SELECT 'day_record' AS tbl, d.id AS row_id FROM day_record d WHERE d.no_makeup = 1
             AND EXISTS (SELECT 1 FROM worn w JOIN category c ON c.id = w.category_id WHERE w.day = d.id AND c.makeup = 1)
          UNION ALL SELECT 'wear', w.id FROM day_record d JOIN worn w ON w.day = d.id JOIN category c ON c.id = w.category_id WHERE d.no_makeup = 1 AND c.makeup = 1`,
  },
  {
    says: 'something worn after it was finished or let go',
    sql: `SELECT 'item' AS tbl, i.id AS row_id FROM item i
           WHERE i.ended_on IS NOT NULL AND EXISTS (SELECT 1 FROM wear w WHERE w.item_id = i.id AND w.day > i.ended_on)
          UNION ALL SELECT 'wear', w.id FROM item i CROSS JOIN wear w ON w.item_id = i.id AND w.day > i.ended_on WHERE i.ended_on IS NOT NULL`,
  },
  {
    says: 'something worn before it came',
    sql: `SELECT 'item' AS tbl, i.id AS row_id FROM item i
           WHERE i.acquired_earliest IS NOT NULL AND EXISTS (SELECT 1 FROM wear w WHERE w.item_id = i.id AND w.day < i.acquired_earliest)
          UNION ALL SELECT 'wear', w.id FROM item i CROSS JOIN wear w ON w.item_id = i.id AND w.day < i.acquired_earliest
           WHERE i.acquired_earliest IS NOT NULL`,
  },
  {
    says: 'more in a zone of the drawer than it has slots',
    sql: `WITH full AS (
            SELECT z.id FROM zone z JOIN placement p ON p.zone_id = z.id AND p.to_day IS NULL AND p.beside = 0
              JOIN item i ON i.id = p.item_id GROUP BY z.id HAVING sum(i.slots) > z.slots)
          SELECT 'placement' AS tbl, p.id AS row_id FROM placement p JOIN full ON full.id = p.zone_id WHERE p.to_day IS NULL
          UNION ALL SELECT 'zone', id FROM full`,
  },
  {
    says: 'something in the drawer, on trial or up next that has ended',
    sql: `SELECT 'placement' AS tbl, p.id AS row_id FROM placement p JOIN item i ON i.id = p.item_id WHERE p.to_day IS NULL AND i.ended_on IS NOT NULL
          UNION ALL SELECT 'trial', t.id FROM trial t JOIN item i ON i.id = t.item_id WHERE t.closed_on IS NULL AND i.ended_on IS NOT NULL
          UNION ALL SELECT 'short_list', s.id FROM short_list s JOIN item i ON i.id = s.item_id WHERE i.ended_on IS NOT NULL
          UNION ALL SELECT 'item', i.id FROM item i WHERE i.ended_on IS NOT NULL AND (
            EXISTS (SELECT 1 FROM placement p WHERE p.item_id = i.id AND p.to_day IS NULL)
            OR EXISTS (SELECT 1 FROM trial t WHERE t.item_id = i.id AND t.closed_on IS NULL))`,
  },
  {
    says: 'something that is said to be in the drawer and isn’t, or the other way round',
    sql: `SELECT 'item' AS tbl, i.id AS row_id FROM item i
           WHERE (i.location = 'zone') <> EXISTS (SELECT 1 FROM placement p WHERE p.item_id = i.id AND p.to_day IS NULL)
          UNION ALL SELECT 'placement', p.id FROM placement p JOIN item i ON i.id = p.item_id WHERE p.to_day IS NULL AND i.location <> 'zone'`,
  },
  {
    says: 'a plan whose items don’t go with its months and weeks',
    sql: `SELECT 'plan_line' AS tbl, l.id AS row_id FROM plan_line l JOIN plan p ON p.id = l.plan_id
           WHERE json_array_length(l.lies) <> json_array_length(p.months) OR json_array_length(l.uses) <> json_array_length(p.weeks)`,
  },
  {
    says: 'a shade on something it is no shade of',
    sql: `SELECT 'wear_part' AS tbl, wp.id AS row_id FROM wear_part wp JOIN wear w ON w.id = wp.wear_id JOIN part p ON p.id = wp.part_id WHERE p.item_id <> w.item_id
          UNION ALL SELECT 'stay', s.id FROM stay s JOIN part p ON p.id = s.part_id WHERE p.item_id <> s.item_id
          UNION ALL SELECT 'measurement', m.id FROM measurement m JOIN part p ON p.id = m.part_id WHERE p.item_id <> m.item_id
          UNION ALL SELECT 'photo', f.id FROM photo f JOIN part p ON p.id = f.part_id WHERE p.item_id <> f.item_id
          UNION ALL SELECT 'item_event', e.id FROM item_event e JOIN part p ON p.id = e.part_id WHERE p.item_id <> e.item_id`,
  },
  {
    says: 'a review of something that isn’t finished, or of another product',
    sql: `SELECT 'review' AS tbl, r.id AS row_id FROM review r JOIN item i ON i.id = r.item_id
           WHERE i.ended_as IS NOT 'finished' OR i.product_id <> r.product_id`,
  },
  {
    says: 'something still in a closed project',
    sql: `SELECT 'stay' AS tbl, s.id AS row_id FROM stay s JOIN project p ON p.id = s.project_id WHERE s.rolled_out IS NULL AND p.closed_on IS NOT NULL
          UNION ALL SELECT 'project', p.id FROM project p JOIN stay s ON p.id = s.project_id WHERE s.rolled_out IS NULL AND p.closed_on IS NOT NULL`,
  },
  {
    says: 'something rolled out as finished, or let go, that has not ended so',
    sql: `SELECT 'stay' AS tbl, s.id AS row_id FROM stay s JOIN item i ON i.id = s.item_id LEFT JOIN part p ON p.id = s.part_id
           WHERE (s.out_reason = 'finished' AND i.ended_as IS NOT 'finished' AND p.finished_on IS NULL)
              OR (s.out_reason = 'let go' AND i.ended_as IS NOT 'left')`,
  },
  {
    says: 'a mix of items worn on different days',
    sql: `SELECT 'wear' AS tbl, w.id AS row_id FROM wear w JOIN mix m ON m.id = w.mix_id WHERE m.day <> w.day`,
  },
  {
    says: 'a verdict on the trial of something else',
    sql: `SELECT 'verdict' AS tbl, v.id AS row_id FROM verdict v JOIN trial t ON t.id = v.trial_id WHERE t.item_id <> v.item_id`,
  },
  {
    says: 'a bare area read off a picture of something else',
    sql: `SELECT 'pan_reading' AS tbl, r.id AS row_id FROM pan_reading r JOIN measurement m ON m.id = r.measurement_id
            JOIN photo f ON f.id = r.photo_id WHERE f.item_id <> m.item_id OR m.kind <> 'bare'`,
  },
  {
    says: 'something blended with itself, or used up by a blend that isn’t there',
    sql: `SELECT 'blend_parent' AS tbl, b.id AS row_id FROM blend_parent b WHERE b.item_id = b.parent_item_id
          UNION ALL SELECT 'item', i.id FROM item i WHERE i.ended_as = 'blended'
             AND NOT EXISTS (SELECT 1 FROM blend_parent b WHERE b.parent_item_id = i.id)`,
  },
  {
    says: 'a shade that was taken out of its palette and became nothing, or the other way round',
    sql: `SELECT 'part' AS tbl, p.id AS row_id FROM part p
           WHERE (p.depotted_on IS NOT NULL) <> EXISTS (SELECT 1 FROM item_event e WHERE e.part_id = p.id AND e.kind = 'depotted')`,
  },
  {
    says: 'two items in one container',
    sql: `WITH held AS (
            SELECT e.id, e.container_id, e.item_id FROM item_event e JOIN item i ON i.id = e.item_id
             WHERE e.container_id IS NOT NULL AND i.ended_on IS NULL
               AND NOT EXISTS (SELECT 1 FROM item_event later WHERE later.item_id = e.item_id AND later.container_id IS NOT NULL
                                  AND (later.day, later.saved_at, later.id) > (e.day, e.saved_at, e.id)))
          SELECT 'item_event' AS tbl, h.id AS row_id FROM held h
           WHERE (SELECT count(DISTINCT o.item_id) FROM held o WHERE o.container_id = h.container_id) > 1`,
  },
  {
    says: 'friends chose what they weren’t asked about',
    sql: `SELECT 'ask' AS tbl, a.id AS row_id FROM ask a WHERE a.chosen_item_id IS NOT NULL
             AND NOT EXISTS (SELECT 1 FROM ask_item i WHERE i.ask_id = a.id AND i.item_id = a.chosen_item_id)`,
  },
  {
    says: 'a question with fewer than two to choose between',
    sql: `SELECT 'ask' AS tbl, a.id AS row_id FROM ask a WHERE (SELECT count(*) FROM ask_item i WHERE i.ask_id = a.id) < 2`,
  },
  {
    says: 'something let go without a word on where to, or the other way round',
    sql: `SELECT 'verdict' AS tbl, v.id AS row_id FROM verdict v JOIN item i ON i.id = v.item_id WHERE v.verdict = 'let go' AND i.ended_as IS NOT 'left'
          UNION ALL SELECT 'item', i.id FROM item i WHERE i.ended_as = 'left'
             AND NOT EXISTS (SELECT 1 FROM verdict v WHERE v.item_id = i.id AND v.verdict = 'let go')`,
  },
]

export function breachesOf(db: Db): Breach[] {
  return HOUSE_RULES.flatMap(({ says, sql }) =>
    db
      .prepare<[], { tbl: string; row_id: string }>(sql)
      .all()
      .map((row) => ({ rule: says, ...row })),
  )
}
