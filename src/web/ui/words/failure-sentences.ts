import type { Failure } from '#core/failure'

/** What a field that cannot be read says: what is wrong and what would do. Data table. */
const SENTENCES: Readonly<Record<string, string>> = {
  'date-unreadable': 'That date can’t be read. Write it as 2024-03-15, March 2024, spring 2024 or 2024.',
  'date-impossible': 'No calendar has that day. Check day and month.',
  'expiry-unreadable': 'That can’t be read. Write the printed date as 11/26, 2026-11 or 30.11.2026.',
  'pao-unreadable': 'Write the months after opening as on the open jar: 12M.',
  'pao-zero': 'A period after opening is at least 1 month.',
  'pao-absurd': 'More than ten years after opening: check the number.',
  'amount-unreadable': 'Write the size as on the label: 30 ml, 9.5 g, 0.5 fl oz.',
  'amount-no-unit': 'Add the unit: g, ml, oz or fl oz.',
  'amount-not-positive': 'The size must be above zero.',
  'amount-pair-disagrees': 'The two sizes don’t agree; check them against the label.',
  'amount-absurd': 'That’s more than any package holds: check the comma.',
  'price-unreadable': 'Write the price as a number, for instance 12.50.',
  'price-negative': 'A price isn’t below zero.',
  'price-foreign':
    'That’s another currency than the collection’s. Give it in your own, or leave it out and put it in the notes.',
  'price-absurd': 'That’s more than it can have cost: check the comma.',
}

export function failureSentence(failure: Failure): string {
  return SENTENCES[failure.code] ?? failure.code
}
