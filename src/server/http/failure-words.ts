import { parseDay, type Day } from '#core/calendar/day'
import type { Failure } from '#core/failure'
import { counted, plural } from '#core/words/counted'
import { dayMark as markOf } from '#core/words/told'
import { FILE_WORDS } from './file-words.js'
import { MACHINE_WORDS } from './machine-words.js'
import { conflict, missing, refused, type Words, type Writer } from './words.js'

/** Days of failures travel as text; their words are those of whoever reads them. */
const dayMark = (day: string | number | undefined): string => markOf(String(day ?? '') as Day)

/** The words of every expected failure; a code without words does not compile. Data table. */
const WORDS = {
  'unknown-item': () => missing('item'),
  'unknown-category': () => refused('That type isn’t in the collection; choose one from the list.', 'categoryId'),
  'unknown-zone': () => missing('zone'),
  'unknown-part': ({ field }) =>
    refused('That shade doesn’t belong to this item; reload the page.', String(field ?? 'partIds')),
  'part-twice': () => refused('Two shades have the same id; reload the page.', 'parts'),
  'unknown-project': () => missing('project'),
  'unknown-stay': () => missing('project item'),
  'unknown-trial': () => missing('trial'),
  'unknown-verdict': () => missing('verdict'),
  'unknown-target': () => missing('target'),
  'unknown-break': () => missing('rest'),
  'break-over': () => refused('That break would be over already. Choose a later last day.', 'to'),
  'no-plan': () => refused('You have no plan for this month. Make one first, or choose by hand.'),
  'plan-changed': () =>
    conflict(
      'The plan is another one by now.',
      'It was chosen, replaced or removed in another window. Nothing was changed; look at the plan again, then decide.',
    ),
  'planned-twice': () => refused('An item is in this plan twice; make it again.', 'lines'),
  'plan-of-another-day': () => refused('This plan was made for other days; make it again from today.', 'weeks'),
  'unknown-wish': () => missing('wish'),
  'unknown-rule': () => missing('rule'),
  'unknown-lesson': () => missing('lesson'),
  'no-recipe': () => refused('That pair has no ratio to repeat. Give it one first.', 'pairId'),
  'unknown-pick': () => missing('pick from your stash'),
  'is-keepsake': ({ name }) =>
    refused(`${name} is a keepsake, kept to look at. Take it back into use first, on its page.`, 'itemId'),
  'keepsake-in-use': ({ name, what }) =>
    refused(`${name} is ${what}. Take it out of there first; then it can be a keepsake.`, 'kind'),
  'for-day-past': () => refused('That day is past. Choose a later one, or none.', 'forDay'),
  'not-let-go': () => refused('It wasn’t let go, so there’s nothing to hand over or to miss.'),
  'handed-before-let-go': ({ day }) =>
    refused(`It was let go on ${dayMark(day)}; it can’t have been handed over before.`, 'day'),
  'pick-running': () =>
    conflict('One at a time.', 'You’re shopping your stash already. End that first, then choose again.'),
  'not-up-next': () => refused('That one isn’t up next any more; reload the page.'),
  'pick-over': () => refused('That one is over already; reload the page.'),
  'pick-ends-in-past': () => refused('Choose a later day: a week or a month is usual.', 'to'),
  'target-above-stock': ({ value, count }) =>
    refused(
      `You have ${counted(Number(count), 'item')} of that type, and ${value} would be more, not fewer. Choose a number up to ${count}.`,
      'items',
    ),
  'target-in-past': () => refused('That day is past. Choose a later one.', 'by'),
  'wish-ended': () => refused('That wish has ended before; reload the page.'),
  'rule-reversed': () => refused('The last day must not be before the first.', 'to'),
  'span-reversed': ({ value, day }) =>
    refused(`The last day, ${dayMark(value)}, is before the first, ${dayMark(day)}. Swap the two.`, 'to'),
  'span-ahead': ({ value }) =>
    refused(
      `${dayMark(value)} has not come yet: there is nothing to look back on. Choose an earlier first day.`,
      'from',
    ),
  'span-too-long': () => refused('That’s more than thirty years. Choose a shorter period.', 'from'),
  'no-such-day': ({ value }) =>
    refused(`"${String(value)}" isn’t a day; give it as year, month and day, like 2026-11-24.`, 'from'),
  'unknown-span': () => missing('span'),
  'unknown-ask': () => missing('question'),
  'chosen-leaves': () => refused('The one your friends chose can’t be removed. Undo the answer first.', 'itemIds'),
  'exception-twice': () => refused('A type can be excepted once; set its number instead.', 'exceptions'),
  'lesson-known': () => conflict('That lesson is kept already.', 'It’s among your lessons; reload the page.'),
  'not-finished': ({ name }) => refused(`${name} isn’t finished; a review belongs to an empty.`),
  'unknown-change': () => missing('change'),
  'no-such-place': () => ({
    status: 404,
    title: 'There’s nothing here.',
    detail: 'No such address. Go back to Today.',
  }),
  'id-taken': () =>
    conflict('That id is in use.', 'Something with this id is there already. Make a new one and try again.'),
  'change-id-reused': () =>
    conflict('Two different acts under one id.', 'A change id belongs to one act. Reload the page and repeat it.'),
  'already-undone': ({ words }) =>
    conflict('It was undone before.', `"${words}" was undone already; there’s nothing left to undo.`),
  'later-changes-stand-on-it': ({ words, count, later }) =>
    conflict(
      'Later changes depend on this one.',
      `${counted(Number(count), 'later change')} ${Number(count) === 1 ? 'depends' : 'depend'} on "${words}" and would be undone with it:\n${later}`,
    ),
  'stands-in-the-way': ({ words, what }) =>
    conflict(
      'It can’t be undone any more.',
      `What "${words}" did was changed since in a way that can’t be told apart (${what}). Nothing was changed.`,
    ),
  'would-break-a-rule': ({ words, rule, blockers }) =>
    conflict(
      'Something is in the way.',
      `Undoing "${words}" would leave ${rule}. ${
        blockers === '' ? 'Nothing was changed.' : `Undo first:\n${blockers}`
      }`,
    ),
  'picture-gone': ({ words }) =>
    conflict(
      'The picture isn’t there any more.',
      `"${words}" removed a picture more than thirty days ago, and its file with it. Nothing was changed.`,
    ),
  'collection-gone': () => ({
    status: 503,
    title: 'The collection isn’t where it was.',
    detail:
      'Its file was moved, replaced or deleted while Seligo was running. Nothing of this act was saved. Put it back where it was and start Seligo again.',
  }),
  stale: () =>
    conflict(
      'It was changed in another window.',
      'Your version is kept in the form. Compare it with what is saved now, then save again.',
    ),
  'day-in-future': ({ value }) =>
    parseDay(String(value)) === null
      ? refused(`"${String(value)}" isn’t a day; give it as year, month and day, like 2026-11-24.`, 'day')
      : refused(`${dayMark(value)} has not come yet; choose today or an earlier day.`, 'day'),
  'opened-in-future': ({ value }) =>
    refused(`${dayMark(value)} has not come yet; it can’t have been opened in the future.`, 'opened'),
  'acquired-in-future': ({ value }) =>
    refused(`${dayMark(value)} has not come yet; you can’t have bought it in the future.`, 'acquired'),
  'acquired-after-wear': ({ day }) =>
    refused(`It was worn on ${dayMark(day)} already; it came that day or before.`, 'acquired'),
  'not-silent': () => refused('Those days have been filled in meanwhile; reload the page.', 'earliest'),
  'mix-of-one': () => refused('A mix has at least two items; choose another.', 'itemIds'),
  'item-gone': ({ name, day }) =>
    refused(
      `${name} left the collection on ${dayMark(day)}. Tick it anyway, and it left on the day of that use; or choose an earlier day.`,
      'day',
    ),
  'worn-before-it-came': ({ name, day }) =>
    refused(
      `${name} bought ${dayMark(day)}. Tick it anyway, and it came on the day of that use; or choose a later day.`,
      'day',
    ),
  'not-worn': () => refused('It isn’t ticked for that day; tick it first.', 'itemId'),
  'unknown-face': () => missing('saved look'),
  'finished-before-last-wear': ({ day }) =>
    refused(`It was last worn on ${dayMark(day)}; choose that day or a later one, or undo the tick first.`, 'day'),
  'item-ended': ({ name }) => conflict('It’s no longer in use.', `${name} is finished or has left. Undo that first.`),
  'reading-does-not-fit': ({ form, kind }) =>
    refused(`A ${form} package isn’t read by ${kind}. Choose the measure its form shows.`, 'reading.kind'),
  'pair-needs-another': () => refused('A pair needs another item; choose one from the collection.', 'otherItemId'),
  'category-name-taken': ({ value }) =>
    refused(`There is a type called ${value} already; choose another name.`, 'name'),
  'merge-with-shades': () =>
    conflict('Palettes can’t be merged.', 'Their shades would get mixed up. Let go of the one you don’t need.'),
  'merge-with-itself': () => refused('An item can’t be merged with itself; choose another.', 'dropIds'),
  'merge-asks': ({ name }) =>
    conflict('They don’t agree.', `Choose which holds for each, and they are one. ${name} is asked about.`),
  'item-has-history': ({ name, what }) =>
    conflict(
      `${name} can’t be deleted.`,
      `Its history would go with it: ${what}. If it was added twice, merge it with the other; if you no longer have it, say where it went.`,
    ),
  'merge-one-ended': ({ name }) =>
    conflict('They can’t be merged.', `${name} has ended and the other has not, or differently. Undo that first.`),
  'merge-with-parent': () =>
    conflict('They can’t be merged.', 'One of them was blended from the other. Undo the blend first.'),
  'merge-both-in-project': ({ project }) =>
    conflict(
      'They can’t be merged as they are.',
      `Both are being worked on in ${project}, each with a goal of its own. Roll one of them out first.`,
    ),
  'merge-both-on-trial': () =>
    conflict('They can’t be merged as they are.', 'Both are on trial. Decide on one of them first.'),
  'unknown-reading': () => missing('reading'),
  'unknown-event': () => missing('event'),
  'unknown-guess': () => missing('guess'),
  'unknown-weight': () => missing('weight'),
  'unknown-container': () => missing('container'),
  'unknown-check-in': () => missing('check-in'),
  'unknown-step': () => missing('step'),
  'read-before-it-came': ({ name, day }) =>
    refused(`${name} bought ${dayMark(day)}; choose that day or a later one.`, 'day'),
  'read-before-opening': ({ name, day }) =>
    refused(
      `${name} was opened on ${dayMark(day)} and was full until then. Choose that day or a later one, or correct when it was opened.`,
      'day',
    ),
  'read-after-its-end': ({ name, day }) =>
    refused(`${name} ended on ${dayMark(day)}; choose that day or an earlier one.`, 'day'),
  'mask-unreadable': () => refused('The measurement arrived damaged. Measure it once more.', 'pan.mask'),
  'empty-not-finished': ({ name }) =>
    refused(
      `${name} isn’t finished: its package isn’t empty yet. Weigh it when it is, or weigh a cleaned one.`,
      'state',
    ),
  'event-without-container': ({ kind }) =>
    refused(`Only what is decanted or repressed goes into a container, not what is ${kind}.`, 'containerId'),
  'event-made-a-thing': () =>
    conflict('It made another item.', 'Undo the whole act in History; the item it made goes with it.'),
  'container-gone': ({ words }) => refused(`${words} is no longer kept; choose another.`, 'containerId'),
  'container-in-use': ({ words }) => refused(`Something is in ${words} already; choose another.`, 'containerId'),
  'gone-before-kept': ({ day }) => refused(`It was kept on ${dayMark(day)}; choose that day or a later one.`, 'day'),
  'blend-of-itself': () => refused('A blend is of different items; each is named once.', 'parents'),
  'shares-off': ({ percent }) =>
    refused(`The shares come to ${percent} %. Let them come to 100 %, or leave them open.`, 'parents'),
  'depotted-before': ({ name }) => conflict('It was taken out before.', `${name} is an item of its own already.`),
  'check-in-closed': () =>
    conflict(
      'This check-in is closed.',
      'Its update stays as it was. Measure the item on its own page, or begin another check-in.',
    ),
  'check-in-of-nothing': () => refused('There’s nothing open in it. Choose something else.', 'over'),
  'nothing-looked-at': () =>
    refused('Nothing has been measured yet. Measure one item, or discard the check-in.', 'day'),
  'closed-before-begun': ({ day }) => refused(`It began on ${dayMark(day)}; choose that day or a later one.`, 'day'),
  'part-finished': ({ name }) => conflict('It was finished before.', `${name} is finished already.`),
  'same-picture': ({ day }) =>
    refused(`This picture is here already, of ${dayMark(day)}. Choose another one.`, 'photo'),
  'picture-measured': () =>
    conflict(
      'A reading was taken from it.',
      'A bare area was read off this picture. Remove that reading first, or keep both.',
    ),
  'picture-too-large': () =>
    refused('This picture has too many pixels to be read here. Save it smaller and choose it again.', 'photo'),
  'picture-broken': () =>
    refused(
      'The file breaks off before the picture ends. Copy it from the camera once more and choose it again.',
      'photo',
    ),
  'not-a-picture': () =>
    refused('That file is no picture that can be read. Choose a JPEG, PNG, WebP, AVIF or GIF.', 'photo'),
  'unknown-photo': () => missing('picture'),
  'category-in-use': () => conflict('It’s in use.', 'Some items are of this type.'),
  'makeup-worn': ({ count }) =>
    conflict(
      'Something is ticked that day.',
      `${counted(Number(count), 'item')} of makeup ${plural(Number(count), 'is')} ticked for that day. Undo that first, then set it to no makeup.`,
    ),
  'zone-full': ({ zone, slots }) =>
    conflict(`${zone} is full.`, `${zone} holds ${slots}. Take something out, or give the zone more slots.`),
  'zone-holds-more': ({ zone, taken }) =>
    refused(
      `What’s in ${zone} takes ${counted(Number(taken), 'slot')}. Take something out first, or give it at least ${taken}.`,
      'slots',
    ),
  'laying-open': () => conflict('You’re changing season already.', 'Continue, or discard it first.'),
  'no-laying': () => conflict('You aren’t changing season.', 'It was finished in another window; reload the page.'),
  'too-tall': ({ name }) =>
    conflict('It doesn’t fit in the drawer.', `${name} is too tall for the drawer. Let it stand beside it.`),
  'not-in-drawer': () => conflict('It isn’t in the drawer.', 'It was taken out before; reload the page.'),
  'by-before-start': ({ value }) => refused(`${dayMark(value)} is before the start; choose a later day or none.`, 'by'),
  'no-project-date': () => refused('The project has no date of its own; give the goal a date or none.', 'goal.by'),
  'head-start-too-big': ({ target }) =>
    refused(`The head start must stay below the goal of ${counted(Number(target), 'use')}.`, 'goal.headStart'),
  'already-in-project': ({ name }) =>
    conflict('It’s in this project already.', `${name} is already being worked on here.`),
  'already-rolled-out': () => conflict('It has rolled out before.', 'Reload the page to see where it stands.'),
  'rolled-out-before-in': ({ day }) =>
    refused(`It rolled in on ${dayMark(day)}; choose that day or a later one.`, 'day'),
  'carried-before-in': ({ day }) =>
    refused(
      `It can’t be carried over before ${dayMark(day)}, when it was still to roll in or out; choose a later day.`,
      'day',
    ),
  'carried-though-met': ({ uses, target }) =>
    conflict(
      'Its goal is met.',
      `${uses} of ${counted(Number(target), 'use')} ${plural(Number(target), 'is')} counted: nothing is left to carry over. Roll it out as met, or give it a larger goal.`,
    ),
  'not-finished-yet': ({ name }) =>
    refused(`${name} isn’t finished. Finish it first, or choose another reason.`, 'reason'),
  'not-let-go-yet': ({ name }) =>
    refused(`${name} is still here. Let it go first, or choose another reason.`, 'reason'),
  'goal-not-met': () => refused('The goal isn’t met yet. Choose "left unfinished", or carry on.', 'reason'),
  'project-closed': ({ name }) =>
    conflict('The project is closed.', `${name} has had its wrap-up. Undo the closing, or carry it over to another.`),
  'leaving-not-allowed': ({ project }) =>
    refused(`Your rules for ${project} let nothing leave unfinished. Carry on, or change that rule first.`, 'reason'),
  'sweep-incomplete': () => refused('Choose the type, and how many uses each item should get.', 'usesEach'),
  'palette-missing': () => refused('Choose a palette whose shades are recorded.', 'paletteId'),
  'at-least-too-many': ({ most }) => refused(`At least that many don’t fit: the project holds ${most}.`, 'atLeast'),
  'rule-full': ({ project, most }) =>
    conflict(`${project} is full.`, `Your rule: at most ${most} at a time. Roll something out, or change that rule.`),
  'rule-fixed-set': ({ project }) =>
    conflict('The set is fixed.', `Your rule for ${project}: nothing is replaced. Change that rule to add to it.`),
  'rule-category-rests': ({ until }) =>
    conflict('This type has a break.', `Your rule: a break after each one reached. It ends on ${until}.`),
  'rule-like-for-like': ({ project, name }) =>
    conflict(
      'Nothing of its type has rolled out.',
      `Your rule for ${project}: like for like. Nothing of the same type as ${name} has rolled out that isn’t replaced.`,
    ),
  'rule-one-for-one': ({ project }) =>
    conflict('Nothing has rolled out.', `Your rule for ${project}: one in for one out. Roll something out first.`),
  'rule-not-in-theme': ({ project, theme }) =>
    conflict('It isn’t of this theme.', `${project} takes ${theme} only. Change the theme, or choose something else.`),
  'rule-other-category': ({ project }) =>
    conflict('It’s of another type.', `${project} uses up one type. Choose something of that type.`),
  'rule-other-palette': ({ project }) =>
    conflict('It isn’t that palette.', `${project} works on the shades of one palette. Choose one of those.`),
  'already-on-trial': ({ name }) =>
    conflict('A trial is running.', `${name} is on trial already; decide that one first.`),
  'due-in-past': ({ value }) => refused(`${dayMark(value)} has passed; choose a day ahead.`, 'dueOn'),
  'until-in-past': ({ value }) => refused(`${dayMark(value)} has passed; choose a day ahead.`, 'until'),
  'destination-refused': ({ destination }) =>
    refused(
      `"${destination}" isn’t open to this item: used eye and lip items, and expired ones, aren’t passed on.`,
      'destination',
    ),
  'collection-damaged': () => ({
    status: 503,
    title: 'The collection is damaged.',
    detail:
      'Parts of its file can’t be read, and nothing was saved. Open Settings, Safety copies, and restore the newest sound one; what is damaged is kept beside it, not deleted.',
  }),
  'other-collection': () =>
    conflict(
      'That was meant for another collection.',
      'It was made while another collection was open at this address. It waits, and is saved in its own.',
    ),
  'folder-wrong': ({ folder }) => ({
    status: 507,
    title: 'It could not be saved.',
    detail: `In ${folder} a file stands where a folder should be, or the other way round: look at "photos" and "copies". Nothing was saved.`,
  }),
  'disk-full': () => ({
    status: 507,
    title: 'It could not be saved.',
    detail:
      'The disk is full or the data folder can’t be written. Nothing was saved by this act; make room and try again.',
  }),
  'unreadable-request': ({ status }) => ({
    status: Number(status),
    title: 'The request could not be read.',
    detail: 'Its address, its length or the way its signs are written isn’t understood; nothing was saved.',
  }),
  'malformed-json': () => ({
    status: 400,
    title: 'The request isn’t JSON.',
    detail: 'The request could not be read; nothing was saved. Try again.',
  }),
  'too-rich': () => ({
    status: 413,
    title: 'The request is too large.',
    detail: 'It holds more than any page or file of Seligo does, or is nested too deeply; nothing was saved.',
  }),
  'too-large': ({ most }) => ({
    status: 413,
    title: 'The request is too large.',
    detail: `Requests up to ${most} are read; nothing was saved.`,
  }),
  'foreign-host': () => ({
    status: 403,
    title: 'Not from here.',
    detail: 'Seligo answers only its own pages, under the address it was opened at.',
  }),
  ...FILE_WORDS,
  ...MACHINE_WORDS,
} satisfies Readonly<Record<string, Writer>>

export type FailureCode = keyof typeof WORDS

export function failureWords({ code, data }: Failure<FailureCode>): Words {
  const writer: Writer = WORDS[code]
  return writer(data)
}
