import { openDatabase } from '#server/db/open-database'
import { makeServices } from '#server/services'
import { copyFileSync, mkdtempSync } from 'node:fs'
const f = mkdtempSync('/tmp/p-') + '/c.db'
copyFileSync('/tmp/large.db', f)
const now = new Date('2026-11-24T12:00:00')
const db = openDatabase(f, { appliedAt: now.toISOString() })
const time = new Map<string, [number, number]>()
const prepare = db.prepare.bind(db)
db.prepare = ((sql: string) =>
  new Proxy(prepare(sql), {
    get(st, n) {
      const m: any = Reflect.get(st, n)
      if (typeof m !== 'function') return m
      return (...p: any[]) => {
        const t = performance.now()
        const r = m.apply(st, p)
        const e = time.get(sql) ?? [0, 0]
        time.set(sql, [e[0] + performance.now() - t, e[1] + 1])
        return r
      }
    },
  })) as any
const s = makeServices(db, () => now)
const what: Record<string, () => unknown> = {
  supply: () => s.supplying.all(),
  plan: () => s.planning.all(),
  span: () => s.spanSheets.of({ from: '2016-12-01' as any, to: '2026-11-24' as any }, null),
}
const key = process.argv[2]!
what[key]!()
what[key]!()
time.clear()
for (let i = 0; i < 10; i++) what[key]!()
for (const [sql, [t, n]] of [...time].sort((a, b) => b[1][0] - a[1][0]).slice(0, 9))
  console.log((t / 10).toFixed(2), n / 10, sql.replace(/\s+/g, ' ').slice(0, 150))
