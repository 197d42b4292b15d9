import { counted } from '#core/words/counted'
import { conflict, missing, refused, type Writer } from './words.js'

/** Words for what is asked about the machine rather than the collection: devices, copies, archives. Data table. */
export const MACHINE_WORDS = {
  'not-let-in': () => ({
    status: 401,
    title: 'This phone isn’t connected.',
    detail: 'On the computer where Seligo runs, open Settings, then Phones, and connect this one with a code.',
  }),
  'this-machine-only': () => ({
    status: 403,
    title: 'Only on the computer where Seligo runs.',
    detail: 'Phones, safety copies and archives are changed on the computer where Seligo runs, not over the network.',
  }),
  'too-often': () => ({
    status: 429,
    title: 'Too many at once.',
    detail: 'This phone asks too often. Wait a minute, then try again.',
  }),
  'no-code-open': () =>
    refused('No code waits, or its two minutes are over. Show a new one in Settings, Phones, and type that.', 'code'),
  'wrong-code': ({ left }) =>
    refused(`That isn’t the code on the screen; ${counted(Number(left), 'more try')}.`, 'code'),
  'code-locked': () =>
    refused('That code was tried five times and is locked. Show a new one in Settings, Phones, and type that.', 'code'),
  'too-many-devices': ({ most }) =>
    conflict('Too many phones.', `${most} phones are connected already. Remove one in Settings, Phones, first.`),
  'unknown-device': () => missing('device'),
  'no-such-address': ({ value }) =>
    refused(`This computer doesn’t have the address ${value} now. Choose one from the list.`, 'address'),
  'door-shut': () =>
    conflict('No phone can connect yet.', 'First choose under which address phones find Seligo, then show a code.'),
  'no-port-free': ({ value, port }) =>
    conflict('No place to listen.', `Nothing is free at ${value} from port ${port} on. End what listens there.`),
  'no-certificate': ({ why }) =>
    conflict('The certificate can’t be used.', `SELIGO_KEY and SELIGO_CERTIFICATE don’t fit: ${why}.`),
  'unknown-copy': () => missing('copy'),
  'copy-unsound': ({ why }) =>
    conflict('That copy is damaged.', `Nothing was changed, since ${why}. Choose another copy.`),
  'house-busy': () =>
    conflict('Something large is running.', 'Nothing was changed. Wait until it is done, then try again.'),
  'going-back-failed': ({ why }) => conflict('It couldn’t be restored.', `What was there is there still: ${why}.`),
  'folder-unusable': ({ value, why }) => refused(`Copies can’t be put into ${value}: ${why}.`, 'folder'),
  'not-an-archive': ({ why }) => refused(`That’s no archive that Seligo made: ${why}. Nothing was changed.`, 'file'),
  'archive-damaged': ({ why }) =>
    refused(`That archive is damaged: ${why}. Nothing was changed; take another copy of it.`, 'file'),
} satisfies Readonly<Record<string, Writer>>
