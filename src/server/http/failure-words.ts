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
  'unknown-category': () => refused('That category is not in the collection; choose one from the list.', 'categoryId'),
  'unknown-zone': () => missing('zone'),
  'unknown-part': ({ field }) =>
    refused('That shade does not belong to this item; load the page again.', String(field ?? 'partIds')),
  'part-twice': () => refused('Two shades have the same id; load the page again.', 'parts'),
  'unknown-project': () => missing('project'),
  'unknown-stay': () => missing('project item'),
  'unknown-trial': () => missing('trial'),
  'unknown-verdict': () => missing('verdict'),
  'unknown-target': () => missing('target'),
  'unknown-break': () => missing('rest'),
  'break-over': () => refused('That rest would be over already. Choose a last day that comes.', 'to'),
  'no-plan': () => refused('No plan is in force for this month. Adopt one first, or choose by hand.'),
  'plan-changed': () =>
    conflict(
      'The plan is another one by now.',
      'It was adopted, replaced or dropped in another window. Nothing was changed; look at the plan again, then decide.',
    ),
  'planned-twice': () => refused('A thing is in this plan twice; lay it anew.', 'lines'),
  'plan-of-another-day': () => refused('This plan was laid for other days; lay it anew from today.', 'weeks'),
  'unknown-wish': () => missing('wish'),
  'unknown-rule': () => missing('rule'),
  'unknown-lesson': () => missing('lesson'),
  'no-recipe': () => refused('That pair has no ratio, so there is nothing to repeat. Give it one first.', 'pairId'),
  'unknown-pick': () => missing('pick from the stash'),
  'is-keepsake': ({ name }) =>
    refused(`${name} is a keepsake, kept to look at. Take it back into use first, on its page.`, 'itemId'),
  'keepsake-in-use': ({ name, what }) =>
    refused(`${name} is ${what}. Take it out of there first; then it can be a keepsake.`, 'kind'),
  'for-day-past': () => refused('That day has been. Choose one that comes, or none.', 'forDay'),
  'not-let-go': () => refused('It was not let go, so there is nothing to hand over or to regret.'),
  'handed-before-let-go': ({ day }) =>
    refused(`It was let go on ${dayMark(day)}; it cannot have been handed over before.`, 'day'),
  'pick-running': () =>
    conflict('One at a time.', 'Some things of your stash are in reach already. End that first, then choose anew.'),
  'pick-over': () => refused('That one has ended before; load the page again.'),
  'pick-ends-in-past': () => refused('Choose a day that comes: a week or a month is usual.', 'to'),
  'target-above-stock': ({ value, count }) =>
    refused(
      `You have ${counted(Number(count), 'thing')} of that kind, and ${value} would be more, not fewer. Choose a number up to ${count}.`,
      'items',
    ),
  'target-in-past': () => refused('That day has been. Choose one that comes.', 'by'),
  'wish-ended': () => refused('That wish has ended before; load the page again.'),
  'rule-reversed': () => refused('The last day must not be before the first.', 'to'),
  'span-reversed': ({ value, day }) =>
    refused(`The last day, ${dayMark(value)}, is before the first, ${dayMark(day)}. Swap the two.`, 'to'),
  'span-ahead': ({ value }) =>
    refused(
      `${dayMark(value)} has not come yet: there is nothing to look back on. Choose an earlier first day.`,
      'from',
    ),
  'span-too-long': () => refused('That is more than thirty years. Choose a shorter span.', 'from'),
  'no-such-day': ({ value }) =>
    refused(`"${String(value)}" is not a day; give it as year, month and day, like 2026-11-24.`, 'from'),
  'unknown-span': () => missing('span'),
  'unknown-ask': () => missing('question'),
  'chosen-leaves': () =>
    refused('The one that was chosen cannot be taken off the sheet. Take the answer back first.', 'itemIds'),
  'exception-twice': () => refused('A category can be excepted once; set its number instead.', 'exceptions'),
  'lesson-known': () => conflict('That lesson is kept already.', 'It stands among your lessons; load the page again.'),
  'not-finished': ({ name }) => refused(`${name} is not finished; a review belongs to an empty.`),
  'unknown-change': () => missing('change'),
  'no-such-place': () => ({
    status: 404,
    title: 'There is nothing here.',
    detail: 'No such address. Go back to Today.',
  }),
  'id-taken': () =>
    conflict('That id is in use.', 'Something with this id is there already. Make a new one and try again.'),
  'change-id-reused': () =>
    conflict('Two different acts under one id.', 'A change id belongs to one act. Load the page again and repeat it.'),
  'already-undone': ({ words }) =>
    conflict('It was taken back before.', `"${words}" is no longer in force; there is nothing to take back.`),
  'later-changes-stand-on-it': ({ words, count, later }) =>
    conflict(
      'Later changes stand on this one.',
      `${counted(Number(count), 'later change')} ${Number(count) === 1 ? 'stands' : 'stand'} on "${words}" and would go with it:\n${later}`,
    ),
  'stands-in-the-way': ({ words, what }) =>
    conflict(
      'It cannot be taken back any more.',
      `What "${words}" did was changed since in a way that cannot be told apart (${what}). Nothing was changed.`,
    ),
  'would-break-a-rule': ({ words, rule, blockers }) =>
    conflict(
      'Something stands in the way.',
      `Taking back "${words}" would leave ${rule}. ${
        blockers === '' ? 'Nothing was changed.' : `Take back first:\n${blockers}`
      }`,
    ),
  'picture-gone': ({ words }) =>
    conflict(
      'The picture is gone.',
      `"${words}" removed a picture more than thirty days ago, and its file with it. Nothing was changed.`,
    ),
  'collection-gone': () => ({
    status: 503,
    title: 'The collection is not where it was.',
    detail:
      'Its file was moved, replaced or deleted while Seligo was running. Nothing of this act was stored. Put it back where it was and start Seligo again.',
  }),
  stale: () =>
    conflict(
      'It was changed in another window.',
      'Your version is kept in the form. Compare it with what is stored now, then save again.',
    ),
  'day-in-future': ({ value }) =>
    parseDay(String(value)) === null
      ? refused(`"${String(value)}" is not a day; give it as year, month and day, like 2026-11-24.`, 'day')
      : refused(`${dayMark(value)} has not come yet; choose today or an earlier day.`, 'day'),
  'opened-in-future': ({ value }) =>
    refused(`${dayMark(value)} has not come yet; when it was opened cannot lie ahead.`, 'opened'),
  'acquired-in-future': ({ value }) =>
    refused(`${dayMark(value)} has not come yet; when you got it cannot lie ahead.`, 'acquired'),
  'acquired-after-wear': ({ day }) =>
    refused(`It was worn on ${dayMark(day)} already; it came that day or before.`, 'acquired'),
  'not-silent': () => refused('Something is written down for those days by now; load the page again.', 'earliest'),
  'mix-of-one': () => refused('A mix has at least two things; choose another.', 'itemIds'),
  'item-gone': ({ name, day }) =>
    refused(
      `${name} left the collection on ${dayMark(day)}. Tick it anyway, and it left on the day of that use; or choose an earlier day.`,
      'day',
    ),
  'worn-before-it-came': ({ name, day }) =>
    refused(
      `${name} came on ${dayMark(day)}. Tick it anyway, and it came on the day of that use; or choose a later day.`,
      'day',
    ),
  'not-worn': () => refused('It is not ticked for that day; tick it first.', 'itemId'),
  'unknown-face': () => missing('saved face'),
  'finished-before-last-wear': ({ day }) =>
    refused(`It was last worn on ${dayMark(day)}; choose that day or a later one, or take the tick back first.`, 'day'),
  'item-ended': ({ name }) =>
    conflict('It is no longer in use.', `${name} is finished or has left. Take that back first.`),
  'reading-does-not-fit': ({ form, kind }) =>
    refused(`A ${form} package is not read by ${kind}. Choose the measure its form shows.`, 'reading.kind'),
  'pair-needs-another': () => refused('A pair needs another item; choose one from the collection.', 'otherItemId'),
  'category-name-taken': ({ value }) =>
    refused(`There is a category called ${value} already; choose another name.`, 'name'),
  'merge-with-shades': () =>
    conflict(
      'Palettes cannot be made one.',
      'Their shades would get mixed up. Remove the one that is too many by deciding on it.',
    ),
  'merge-with-itself': () => refused('A thing is not made one with itself; choose another.', 'dropIds'),
  'merge-asks': ({ name }) =>
    conflict('They say different things.', `Choose which holds for each, and they are one. ${name} is asked about.`),
  'merge-one-ended': ({ name }) =>
    conflict('They cannot be one.', `${name} has ended and the other has not, or differently. Take that back first.`),
  'merge-with-parent': () =>
    conflict('They cannot be one.', 'One of them was blended from the other. Take the blend back first.'),
  'merge-both-in-project': ({ project }) =>
    conflict(
      'They cannot be one as they are.',
      `Both are being worked on in ${project}, each with a goal of its own. Roll one of them out first.`,
    ),
  'merge-both-on-trial': () =>
    conflict('They cannot be one as they are.', 'Both are on trial. Decide on one of them first.'),
  'unknown-reading': () => missing('reading'),
  'unknown-event': () => missing('event'),
  'unknown-guess': () => missing('guess'),
  'unknown-weight': () => missing('weight'),
  'unknown-container': () => missing('container'),
  'unknown-check-in': () => missing('check-in'),
  'unknown-step': () => missing('step'),
  'read-before-it-came': ({ name, day }) =>
    refused(`${name} came on ${dayMark(day)}; choose that day or a later one.`, 'day'),
  'read-before-opening': ({ name, day }) =>
    refused(
      `${name} was opened on ${dayMark(day)} and was full until then. Choose that day or a later one, or correct when it was opened.`,
      'day',
    ),
  'read-after-its-end': ({ name, day }) =>
    refused(`${name} ended on ${dayMark(day)}; choose that day or an earlier one.`, 'day'),
  'mask-unreadable': () => refused('What was read off the photo came broken. Measure it once more.', 'pan.mask'),
  'empty-not-finished': ({ name }) =>
    refused(
      `${name} is not finished: its package is not empty yet. Weigh it when it is, or weigh a cleaned one.`,
      'state',
    ),
  'event-without-container': ({ kind }) =>
    refused(`Only what is decanted or pressed anew goes into a container, not what is ${kind}.`, 'containerId'),
  'event-made-a-thing': () =>
    conflict(
      'It made another thing.',
      'Take the whole act back in the journal of changes; the thing it made goes with it.',
    ),
  'container-gone': ({ words }) => refused(`${words} is no longer kept; choose another.`, 'containerId'),
  'container-in-use': ({ words }) => refused(`Something is in ${words} already; choose another.`, 'containerId'),
  'gone-before-kept': ({ day }) => refused(`It was kept on ${dayMark(day)}; choose that day or a later one.`, 'day'),
  'blend-of-itself': () => refused('A blend is of different things; each is named once.', 'parents'),
  'shares-off': ({ percent }) =>
    refused(`The shares come to ${percent} %. Let them come to 100 %, or leave them open.`, 'parents'),
  'depotted-before': ({ name }) => conflict('It was taken out before.', `${name} is a thing of its own already.`),
  'check-in-closed': () =>
    conflict(
      'This check-in is closed.',
      'Its sheet stays as it was. Read the thing on its own page, or begin another check-in.',
    ),
  'check-in-of-nothing': () => refused('Nothing open is in there. Choose something else to go over.', 'over'),
  'nothing-looked-at': () =>
    refused('Nothing was looked at yet. Weigh or look at one thing, or give the check-in up.', 'day'),
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
  'category-in-use': () => conflict('It is in use.', 'Items belong to this category.'),
  'makeup-worn': ({ count }) =>
    conflict(
      'Something is ticked that day.',
      `${counted(Number(count), 'thing')} of makeup ${plural(Number(count), 'is')} ticked for that day. Take that back first, then set it to no makeup.`,
    ),
  'zone-full': ({ zone, slots }) =>
    conflict(`${zone} is full.`, `${zone} holds ${slots}. Take something out, or give the zone more slots.`),
  'zone-holds-more': ({ zone, taken }) =>
    refused(
      `What lies in ${zone} takes ${counted(Number(taken), 'slot')}. Take something out first, or give it at least ${taken}.`,
      'slots',
    ),
  'laying-open': () => conflict('A laying is under way.', 'Go on with it, or close it first.'),
  'no-laying': () => conflict('No laying is under way.', 'It was closed in another window; load the page again.'),
  'too-tall': ({ name }) =>
    conflict('It does not fit under the lid.', `${name} is too tall for the drawer. Let it stand beside it.`),
  'not-in-drawer': () => conflict('It is not in the drawer.', 'It was taken out before; load the page again.'),
  'by-before-start': ({ value }) => refused(`${dayMark(value)} is before the start; choose a later day or none.`, 'by'),
  'no-project-date': () => refused('The project has no date of its own; give the goal a date or none.', 'goal.by'),
  'head-start-too-big': ({ target }) =>
    refused(`The head start must stay below the goal of ${counted(Number(target), 'use')}.`, 'goal.headStart'),
  'already-in-project': ({ name }) =>
    conflict('It is in this project already.', `${name} is already being worked on here.`),
  'already-rolled-out': () => conflict('It has rolled out before.', 'Load the page again to see where it stands.'),
  'rolled-out-before-in': ({ day }) =>
    refused(`It rolled in on ${dayMark(day)}; choose that day or a later one.`, 'day'),
  'carried-before-in': ({ day }) =>
    refused(
      `It cannot be carried over before ${dayMark(day)}, when it was still to roll in or out; choose a later day.`,
      'day',
    ),
  'carried-though-met': ({ uses, target }) =>
    conflict(
      'Its goal is met.',
      `${uses} of ${counted(Number(target), 'use')} ${plural(Number(target), 'is')} counted: nothing is left to carry over. Roll it out as met, or give it a larger goal.`,
    ),
  'not-finished-yet': ({ name }) =>
    refused(`${name} is not finished. Finish it first, or choose another reason.`, 'reason'),
  'not-let-go-yet': ({ name }) =>
    refused(`${name} is still here. Let it go first, or choose another reason.`, 'reason'),
  'goal-not-met': () => refused('The goal is not met yet. Choose "left unfinished", or carry on.', 'reason'),
  'project-closed': ({ name }) =>
    conflict(
      'The project is closed.',
      `${name} has had its finale. Take the closing back, or carry it over to another.`,
    ),
  'leaving-not-allowed': ({ project }) =>
    refused(`Your rules for ${project} let nothing leave unfinished. Carry on, or change that rule first.`, 'reason'),
  'sweep-incomplete': () => refused('A sweep needs its category and the uses each item is to get.', 'usesEach'),
  'palette-missing': () => refused('Choose a palette whose shades are recorded.', 'paletteId'),
  'at-least-too-many': ({ most }) => refused(`At least that many do not fit: the project holds ${most}.`, 'atLeast'),
  'rule-full': ({ project, most }) =>
    conflict(`${project} is full.`, `Your rule: at most ${most} at a time. Roll something out, or change that rule.`),
  'rule-fixed-set': ({ project }) =>
    conflict('The set is fixed.', `Your rule for ${project}: nothing is replaced. Change that rule to add to it.`),
  'rule-category-rests': ({ until }) =>
    conflict('This category has a break.', `Your rule: a break after each one reached. It ends on ${until}.`),
  'rule-like-for-like': ({ project, name }) =>
    conflict(
      'Nothing of its kind has left.',
      `Your rule for ${project}: like for like. Nothing of the category of ${name} has rolled out that is not replaced.`,
    ),
  'rule-one-for-one': ({ project }) =>
    conflict('Nothing has left.', `Your rule for ${project}: one in for one out. Roll something out first.`),
  'rule-not-in-theme': ({ project, theme }) =>
    conflict('It is not of this theme.', `${project} takes ${theme} only. Change the theme, or choose something else.`),
  'rule-other-category': ({ project }) =>
    conflict('It is of another category.', `${project} sweeps one category. Choose something of that.`),
  'rule-other-palette': ({ project }) =>
    conflict('It is not that palette.', `${project} works on the shades of one palette. Choose one of those.`),
  'already-on-trial': ({ name }) =>
    conflict('A trial is running.', `${name} is on trial already; decide that one first.`),
  'due-in-past': ({ value }) => refused(`${dayMark(value)} has passed; choose a day ahead.`, 'dueOn'),
  'until-in-past': ({ value }) => refused(`${dayMark(value)} has passed; choose a day ahead.`, 'until'),
  'destination-refused': ({ destination }) =>
    refused(
      `"${destination}" is not open to this item: used eye and lip things, and spoiled ones, are not passed on.`,
      'destination',
    ),
  'collection-damaged': () => ({
    status: 503,
    title: 'The collection is damaged.',
    detail:
      'Parts of its file cannot be read, and nothing was stored. Open Settings, Copies, and go back to the newest sound copy; what is damaged is put aside, not deleted.',
  }),
  'other-collection': () =>
    conflict(
      'That was meant for another collection.',
      'It was made while another collection was open at this address. It waits, and is stored in its own.',
    ),
  'folder-wrong': ({ folder }) => ({
    status: 507,
    title: 'It could not be stored.',
    detail: `In ${folder} a file stands where a folder should be, or the other way round: look at "photos" and "copies". Nothing was stored.`,
  }),
  'disk-full': () => ({
    status: 507,
    title: 'It could not be stored.',
    detail:
      'The disk is full or the data folder cannot be written. Nothing was stored by this act; make room and try again.',
  }),
  'unreadable-request': ({ status }) => ({
    status: Number(status),
    title: 'The request could not be read.',
    detail: 'Its address, its length or the way its signs are written is not understood; nothing was stored.',
  }),
  'malformed-json': () => ({
    status: 400,
    title: 'The request is not JSON.',
    detail: 'The request could not be read; nothing was stored. Try again.',
  }),
  'too-rich': () => ({
    status: 413,
    title: 'The request is too large.',
    detail: 'It holds more than any page or file of Seligo does, or is nested too deeply; nothing was stored.',
  }),
  'too-large': ({ most }) => ({
    status: 413,
    title: 'The request is too large.',
    detail: `Requests up to ${most} are read; nothing was stored.`,
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
