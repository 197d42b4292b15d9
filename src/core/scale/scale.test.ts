import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { frameOf, FrameStream } from './frames'
import { ScaleReader, type ScaleReading } from './reader'
import { handled, nextFrame, SWITCHED_ON, type SimulatedScale } from './simulated'

describe('what a scale says', () => {
  test.each([
    ['steady gross +44.0 g', { code: 'weight', steady: true, basis: 'gross', grams: 44, resolution: 0.1 }],
    ['moving net -0.1 g', { code: 'weight', steady: false, basis: 'net', grams: -0.1, resolution: 0.1 }],
    ['overload', { code: 'overload' }],
    ['asleep', { code: 'asleep' }],
    ['steady gross +1.0 fl oz', { code: 'wrong unit', unit: 'fl oz', isVolume: true }],
    ['steady gross +1.0 ct', { code: 'wrong unit', unit: 'ct', isVolume: false }],
    ['44.0', { code: 'garbled', text: '44.0' }],
  ])('%s', (line, frame) => expect(frameOf(line)).toEqual(frame))
  test('ounces are mass, by the exact factor', () => {
    const frame = frameOf('steady gross +2.000 oz')
    // International yard and pound agreement 1959.
    expect(frame).toMatchObject({ grams: 56.69904625 })
  })
  test('lines come whole however the cable splits and joins them', () => {
    const lines = ['moving gross +12.1 g', 'steady gross +44.0 g', 'overload', 'steady gross +44.0 g']
    const whole = new FrameStream().push(`${lines.join('\r\n')}\r\n`)
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1 }), (cuts) => {
        const text = `${lines.join('\n')}\n`
        const stream = new FrameStream()
        const found = []
        for (let at = 0, n = 0; at < text.length; n += 1) {
          const next = at + (cuts[n % cuts.length] ?? 1)
          found.push(...stream.push(text.slice(at, next)))
          at = next
        }
        expect(found).toEqual(whole)
      }),
      { seed: 8 },
    )
  })
  test('a line that never ends doesn’t fill the memory', () => {
    const stream = new FrameStream()
    expect(stream.push('x'.repeat(500))).toEqual([{ code: 'garbled', text: 'x'.repeat(80) }])
  })
})

const read = (reader: ScaleReader, ...lines: string[]): ScaleReading[] =>
  lines.map((line) => reader.take(frameOf(line)))

describe('the reader', () => {
  const STILL = ['steady gross +44.0 g', 'steady gross +44.0 g', 'steady gross +44.0 g']
  test('believes what stands still, and keeps it when the item is lifted off', () => {
    const said = read(
      new ScaleReader(),
      'moving gross +30.0 g',
      ...STILL,
      'moving gross +20.0 g',
      'steady gross +0.0 g',
    )
    expect(said.map((each) => each.code)).toEqual(['settling', 'settling', 'settling', 'steady', 'steady', 'kept'])
    expect(said.at(-1)).toMatchObject({ grams: 44, resolution: 0.1 })
  })
  test('more laid on is a new weight', () => {
    const said = read(new ScaleReader(), ...STILL, 'moving gross +52.0 g', 'steady gross +0.0 g')
    expect(said.at(-1)?.code).toBe('empty')
  })
  test.each([
    ['overload', 'overload'],
    ['steady gross +1.0 fl oz', 'volume'],
    ['steady gross -4.0 g', 'below zero'],
    ['asleep', 'asleep'],
  ])('%s is refused, and what stood still before isn’t kept', (line, why) => {
    const reader = new ScaleReader()
    const said = read(reader, ...STILL, line, 'steady gross +0.0 g')
    expect(said[3]).toMatchObject({ code: 'refused', why })
    expect(said[4]?.code).toBe('empty')
  })
  test('a net weight has its tare asked off once, and is refused when it stays', () => {
    let asked = 0
    const reader = new ScaleReader(() => (asked += 1))
    const said = read(reader, ...Array.from({ length: 8 }, () => 'steady net +4.8 g'))
    expect([asked, said[0]?.code, said.at(-1)]).toEqual([1, 'waiting', { code: 'refused', why: 'net', unit: '' }])
    expect(read(reader, ...STILL).at(-1)?.code).toBe('steady')
  })
  test('silence keeps nothing', () => {
    const reader = new ScaleReader()
    read(reader, ...STILL)
    expect(reader.silence().code).toBe('silent')
    expect(read(reader, 'steady gross +0.0 g')[0]?.code).toBe('empty')
  })
})

describe('the simulated scale', () => {
  const KIND = { resolution: 0.1, capacity: 500 }
  const run = (from: SimulatedScale, frames: number) => {
    let scale = from
    let noise = 11
    const said: string[] = []
    for (let n = 0; n < frames; n++) {
      noise = (Math.imul(noise, 1103515245) + 12345) >>> 0
      const next = nextFrame(scale, KIND, noise / 2 ** 31 - 1)
      scale = next.scale
      if (next.line !== null) said.push(next.line)
    }
    return { scale, said }
  }
  test('settles on what lies on it, within a step', () => {
    const { said } = run(handled(SWITCHED_ON, { load: 44 }), 40)
    const reader = new ScaleReader()
    const last = read(reader, ...said).at(-1)
    expect(last?.code).toBe('steady')
    expect(last && 'grams' in last && Math.abs(last.grams - 44)).toBeLessThanOrEqual(0.1001)
  })
  test('overloads, sleeps, drops out, and wakes when it is handled', () => {
    expect(run(handled(SWITCHED_ON, { load: 900 }), 1).said).toEqual(['overload'])
    const slept = run(handled(SWITCHED_ON, { load: 5 }), 500)
    expect(slept.said.at(-1)).toBe('asleep')
    expect(run(handled(slept.scale, { load: 0 }), 1).said[0]).toContain('gross')
    expect(run(handled(SWITCHED_ON, { unplugged: true }), 3).said).toEqual([])
    expect(run(handled(SWITCHED_ON, { load: 44, tare: 39 }), 30).said.at(-1)).toContain('steady net +5.')
  })
})
