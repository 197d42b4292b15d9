import { describe, expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import { openingAnswers } from './opening-answers'

const TODAY = '2026-11-24' as Day

describe('answers to when it was opened', () => {
  test('are this year and the three before', () => {
    expect(openingAnswers(TODAY, TODAY, { words: 'the move', day: '' }).map((each) => each.words)).toEqual([
      '2026',
      '2025',
      '2024',
      '2023',
    ])
  })
  test('with something she remembers: before, which reaches three years back, or after, up to the first use', () => {
    const [before, after] = openingAnswers(TODAY, '2026-03-01' as Day, { words: 'the move', day: '2025-06-10' })
    expect(before).toEqual({
      words: 'Before the move',
      said: 'before the move',
      range: { earliest: '2022-06-10', latest: '2025-06-09' },
    })
    expect(after?.range).toEqual({ earliest: '2025-06-10', latest: '2026-03-01' })
  })
  test('nothing after the last day it can have been opened is offered', () => {
    const words = openingAnswers(TODAY, '2024-05-01' as Day, { words: 'the move', day: '2025-06-10' }).map(
      (each) => each.words,
    )
    expect(words).toEqual(['Before the move', '2024', '2023'])
  })
})
