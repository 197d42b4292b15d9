import { describe, expect, test } from 'vitest'
import { statusOf } from './status-words.js'

// How people mark what is over, in the words of several languages; common practice, no source.
const read = (cell: string) => statusOf(cell, 'day-first', false)

describe('an ending makes it history, with its day where one is said', () => {
  test.each([
    ['Finished', null],
    ['USED UP', null],
    ['aufgebraucht', null],
    ['fini', null],
    ['finished 3/2024', { earliest: '2024-03-01', latest: '2024-03-31' }],
    ['empty (May 2023)', { earliest: '2023-05-01', latest: '2023-05-31' }],
    ['panned, 12.06.2024', { earliest: '2024-06-12', latest: '2024-06-12' }],
    ['done 2022', { earliest: '2022-01-01', latest: '2022-12-31' }],
  ])('%s', (cell, when) => {
    const status = read(cell)
    expect(status).toMatchObject({ kind: 'finished' })
    expect(status !== null && 'when' in status ? status.when : undefined).toEqual(
      when === null ? null : expect.objectContaining(when),
    )
  })
  test.each([
    ['sold', 'sell'],
    ['Swapped', 'swap'],
    ['gave to my sister', 'give'],
    ['verschenkt', 'give'],
    ['donated', 'donate'],
    ['tossed', 'bin'],
    ['weggeworfen', 'bin'],
    ['recycled', 'recycle'],
  ])('%s goes to: %s', (cell, destination) => {
    expect(read(cell)).toEqual({ kind: 'left', destination, when: null })
  })
})

describe('what isn’t over stays', () => {
  test.each(['almost empty', 'not finished', 'to be sold', 'nearly done', 'fast leer', 'half empty', 'presque fini'])(
    '%s',
    (cell) => {
      expect(read(cell)).toBeNull()
    },
  )
  test.each(['', '-', 'n/a', 'lovely'])('"%s" says nothing of it', (cell) => {
    expect(read(cell)).toBeNull()
  })
  test('whether it was opened is told apart from how it ended', () => {
    expect(read('unopened')).toEqual({ kind: 'here', opened: 'unopened' })
  })
})

test('a tick under a heading that means finished is an ending; under one that asks whether it is in use, a use', () => {
  expect(statusOf('x', 'day-first', true)).toEqual({ kind: 'finished', when: null })
  expect(statusOf('no', 'day-first', true)).toEqual({ kind: 'here', opened: null })
  expect(statusOf('x', 'day-first', false)).toEqual({ kind: 'here', opened: 'open' })
})
