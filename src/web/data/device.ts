import { useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'

/** What is set on this device alone: it says nothing of the collection and is not exported. */
export const useDevice = defineStore('device', () => ({
  theme: useStorage<'system' | 'day' | 'night'>('seligo-theme', 'system'),
  /** Whether a single letter does something. Off: only the jump box, by Ctrl or Cmd and K. */
  letterKeys: useStorage('seligo-letter-keys', true),
  /** On a phone: what to reach for is one line, until it is unfolded. */
  reachForFolded: useStorage('seligo-reach-for-folded', false),
  /** What she dates other things by, and when it was. */
  landmark: useStorage('seligo-landmark', { words: 'the move', day: '' }),
  collectionView: useStorage<'list' | 'gauges'>('seligo-collection-view', 'list'),
}))
