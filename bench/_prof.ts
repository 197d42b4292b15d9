import { openDatabase } from '#server/db/open-database'
import { makeServices } from '#server/services'
import { Session } from 'node:inspector'
import { copyFileSync, mkdtempSync } from 'node:fs'
const f = mkdtempSync('/tmp/p-') + '/c.db'
copyFileSync('/tmp/large.db', f)
const now = new Date('2026-11-24T12:00:00')
const s = makeServices(openDatabase(f, { appliedAt: now.toISOString() }), () => now)
const what: Record<string, () => unknown> = {
  supply: () => s.supplying.all(),
  plan: () => s.planning.all(),
  json: () => JSON.stringify(s.planning.all()),
  span: () => s.spanSheets.of({ from: '2016-12-01' as any, to: '2026-11-24' as any }, null),
  undo: () => 0,
}
const key = process.argv[2]!
what[key]!()
what[key]!()
const t0 = performance.now()
for (let i = 0; i < 10; i++) what[key]!()
console.log(key, (performance.now() - t0) / 10)
const session = new Session()
session.connect()
session.post('Profiler.enable', () =>
  session.post('Profiler.start', () => {
    for (let i = 0; i < 20; i++) what[key]!()
    session.post('Profiler.stop', (_e, { profile }) => {
      const self = new Map<string, number>()
      const dt = profile.timeDeltas!
      const by = new Map(profile.nodes.map((n) => [n.id, n]))
      profile.samples!.forEach((id, i) => {
        const n = by.get(id)!
        const k =
          n.callFrame.functionName + ' ' + n.callFrame.url.split('/').slice(-2).join('/') + ':' + n.callFrame.lineNumber
        self.set(k, (self.get(k) ?? 0) + dt[i]!)
      })
      for (const [k, v] of [...self].sort((a, b) => b[1] - a[1]).slice(0, 14)) console.log((v / 20000).toFixed(2), k)
    })
  }),
)
