/** How much she likes a thing, in her words, the most first. */
export const LIKING_WORDS: Readonly<Record<string, string>> = {
  '5': 'love it',
  '4': 'like it',
  '3': 'neither',
  '2': 'not much',
  '1': 'dislike it',
}

/** The same as fields take them. */
export const LIKING_ITEMS = ['5', '4', '3', '2', '1'].map((value) => ({ title: LIKING_WORDS[value] ?? '', value }))
