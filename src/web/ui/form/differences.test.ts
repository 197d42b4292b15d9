import { expect, test } from 'vitest'
import { differencesOf } from './differences'

const NAMES = { shade: 'Shade', opaque: 'Undyed', parts: 'Shades', size: 'Size' }
const SET = { shade: 'Sloe', opaque: false, parts: [{ name: 'Moss' }, { name: 'Bark' }], size: null as string | null }

test('every field in which two drafts differ is named, with both values in words', () => {
  expect(differencesOf(NAMES, SET, { ...SET, opaque: true, size: '3.5 g' })).toEqual([
    { name: 'Undyed', mine: 'no', theirs: 'yes' },
    { name: 'Size', mine: '', theirs: '3.5 g' },
  ])
})

test('lists differ by what is in them and by its order', () => {
  const turned = { ...SET, parts: [...SET.parts].reverse() }
  expect(differencesOf(NAMES, SET, turned)).toEqual([{ name: 'Shades', mine: 'Moss, Bark', theirs: 'Bark, Moss' }])
})

test('the same differs in nothing', () => {
  expect(differencesOf(NAMES, SET, structuredClone(SET))).toEqual([])
})
