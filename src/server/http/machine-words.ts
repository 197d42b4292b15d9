import { counted } from '#core/words/counted'
import { conflict, missing, refused, type Writer } from './words.js'

/** Words for what is asked about the machine rather than the collection: devices, copies, archives. Data table. */
export const MACHINE_WORDS = {
  'not-let-in': () => ({
    status: 401,
    title: 'This device is not let in.',
    detail: 'On the machine where Seligo runs, open Settings, then Devices, and let this one in with a code.',
  }),
  'this-machine-only': () => ({
    status: 403,
    title: 'Only where Seligo runs.',
    detail: 'Devices, copies and archives are changed on the machine where Seligo runs, not over the network.',
  }),
  'too-often': () => ({
    status: 429,
    title: 'Too many at once.',
    detail: 'This device asks more often than anybody can tap. Wait a minute, then go on.',
  }),
  'no-code-open': () =>
    refused('No code waits, or its two minutes are over. Show a new one in Settings, Devices, and type that.', 'code'),
  'wrong-code': ({ left }) =>
    refused(`That is not the code on the screen; ${counted(Number(left), 'more try')}.`, 'code'),
  'code-locked': () =>
    refused(
      'That code was tried five times and is locked. Show a new one in Settings, Devices, and type that.',
      'code',
    ),
  'too-many-devices': ({ most }) =>
    conflict(
      'Too many devices.',
      `${most} devices are let in already. Take one off the list in Settings, Devices, first.`,
    ),
  'unknown-device': () => missing('device'),
  'no-such-address': ({ value }) =>
    refused(`This machine does not have the address ${value} now. Choose one from the list.`, 'address'),
  'door-shut': () =>
    conflict('No phone can come in yet.', 'First choose under which address phones find Seligo, then show a code.'),
  'no-port-free': ({ value, port }) =>
    conflict('No place to listen.', `Nothing is free at ${value} from port ${port} on. End what listens there.`),
  'no-certificate': ({ why }) =>
    conflict('The certificate cannot be used.', `SELIGO_KEY and SELIGO_CERTIFICATE do not fit: ${why}.`),
  'unknown-copy': () => missing('copy'),
  'copy-unsound': ({ why }) =>
    conflict('That copy is not sound.', `Nothing was changed, since ${why}. Choose another copy.`),
  'house-busy': () =>
    conflict('Something large is under way.', 'Nothing was changed. Wait until it is done, then try again.'),
  'going-back-failed': ({ why }) => conflict('It could not be put back.', `What was there is there still: ${why}.`),
  'folder-unusable': ({ value, why }) => refused(`Copies cannot be put into ${value}: ${why}.`, 'folder'),
  'not-an-archive': ({ why }) => refused(`That is no archive that Seligo made: ${why}. Nothing was changed.`, 'file'),
  'archive-damaged': ({ why }) =>
    refused(`That archive is damaged: ${why}. Nothing was changed; take another copy of it.`, 'file'),
} satisfies Readonly<Record<string, Writer>>
