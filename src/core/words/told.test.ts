import { expect, test } from 'vitest'
import type { Day } from '../calendar/day.js'
import { dayMark, itemMark, itemsIn, tellMarks, yearlyMark } from './told.js'

const SLOE = { id: 'a1', name: 'Velvet lip', shade: 'Sloe' }
const words = `${itemMark(SLOE)} worn on ${dayMark('2026-11-24' as Day)}, closed each ${yearlyMark('05-31')}`

test('items, days and days of the year are told by whoever shows the words', () => {
  const told = tellMarks(words, {
    item: (id, kept) => `${kept} (${id})`,
    day: (day) => day.split('-').reverse().join('.'),
    yearly: () => '31 May',
  })
  expect(told).toBe('Sloe (a1) worn on 24.11.2026, closed each 31 May')
})

test('what isn’t told stays for whoever comes next: first the names, then her days', () => {
  const named = tellMarks(words, { item: () => 'Ondrake Sloe lipstick' })
  expect(itemsIn(named)).toEqual([])
  expect(tellMarks(named, { day: () => 'Tuesday', yearly: () => '31 May' })).toBe(
    'Ondrake Sloe lipstick worn on Tuesday, closed each 31 May',
  )
})

test('an item is kept by its shade, else by its name, and by nothing that could end the mark', () => {
  const odd = { id: 'b2', name: 'Odd', shade: 'One|Two⟧⟦item:x' }
  const told: string[] = []
  tellMarks(itemMark(odd), { item: (id, kept) => told.push(id, kept).toString() })
  expect(told).toEqual(['b2', 'One Two  item:x'])
  expect(itemsIn(itemMark({ id: 'c3', name: 'Primer', shade: '' }))).toEqual(['c3'])
})

test('words without marks are themselves', () => {
  expect(tellMarks('No makeup ⟦ [item] ⟧', { item: () => '!' })).toBe('No makeup ⟦ [item] ⟧')
})
