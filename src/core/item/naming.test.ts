import { expect, test } from 'vitest'
import { callOf, shortNameOf, tellTwinsApart } from './naming.js'

const item = (id: string, maker: string, shade: string, size = '', opened = '') => ({
  id,
  maker,
  name: 'Powder Blush',
  shade,
  category: 'Blush',
  size,
  opened,
})

test.each([
  ['Pellwick', 'Powder Blush', 'Rust Bloom', 'Pellwick Rust Bloom blush'],
  ['Pellwick', 'Powder Blush', '', 'Pellwick Powder Blush'],
  ['', 'Powder Blush', 'Rust Bloom', 'Rust Bloom blush'],
  // What the name says already is not said twice, whatever its letters' case.
  ['Pellwick', 'x', 'PELLWICK blush No. 4', 'PELLWICK blush No. 4'],
])('%s, %s, %s is called %s', (maker, name, shade, called) => {
  expect(callOf({ maker, name, shade, category: 'Blush' })).toBe(called)
})

test('where its picture shows what it is, its shade is enough', () => {
  expect(shortNameOf({ name: 'Powder Blush', shade: 'Rust Bloom' })).toBe('Rust Bloom')
  expect(shortNameOf({ name: 'Powder Blush', shade: '' })).toBe('Powder Blush')
})

const FACTS = [(one: { size: string }) => one.size, (one: { opened: string }) => one.opened]

test('only twins are told apart, by the first fact that tells them all apart', () => {
  const added = tellTwinsApart(
    [
      item('a', 'Pellwick', 'Rust Bloom', '5 g', 'opened in March'),
      item('b', 'Pellwick', 'Rust Bloom', '5 g', 'unopened'),
      item('c', 'Ondrake', 'Rust Bloom'),
    ],
    FACTS,
  )
  expect(Object.fromEntries(added)).toEqual({ a: 'opened in March', b: 'unopened' })
})

test('what no fact tells apart is numbered, so that no two are called the same', () => {
  const three = ['a', 'b', 'c'].map((id) => item(id, 'Pellwick', 'Rust Bloom', id === 'c' ? '9 g' : '5 g'))
  const added = tellTwinsApart(three, FACTS)
  expect(Object.fromEntries(added)).toEqual({ a: '5 g, no. 1', b: '5 g, no. 2', c: '9 g' })
  const alike = tellTwinsApart([item('a', 'P', 'S'), item('b', 'P', 'S')], [])
  expect(Object.fromEntries(alike)).toEqual({ a: 'no. 1', b: 'no. 2' })
})
