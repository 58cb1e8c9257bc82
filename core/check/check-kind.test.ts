import { describe, expect, test } from '@jest/globals';
import type { Book } from '#core/book/book.ts';
import type { Page, PageUse } from '#core/book/page.ts';
import { bookFaults, conditionsOfNobody, neverReached } from '#core/check/book-names.ts';
import { checkKind } from '#core/check/check-kind.ts';
import { KIND_IDS } from '#core/instruments/kind.ts';
import { BOOK } from '#core/tables/book.ts';

test('nothing of the book names nothing, says nothing or is never come to', () => {
  expect(neverReached(BOOK, KIND_IDS)).toEqual([]);
  expect(conditionsOfNobody(BOOK)).toEqual([]);
  const onHide = { ...BOOK.conditions['new-wood'], where: [{ build: { bag: ['hide'], body: ['wood'] } }] } as const;
  expect(conditionsOfNobody({ ...BOOK, conditions: { ...BOOK.conditions, 'new-wood': onHide } })).toHaveLength(1);
  expect(KIND_IDS.flatMap((kind) => bookFaults(BOOK, kind))).toEqual([]);
});

test('a kind that is whole passes each check', () => {
  const checks = checkKind(BOOK, 'recorder');
  expect(checks.map(({ what, faults }) => [what, faults])).toEqual(checks.map(({ what }) => [what, []]));
  expect(checks.length).toBeGreaterThanOrEqual(6);
});

/** The book with the recorder's own page written otherwise. */
function bookWith(change: (page: Page) => Page, use: Partial<PageUse> = {}): Book {
  const uses: readonly PageUse[] = BOOK.pagesOf.recorder;
  const own = uses.map((one) => (one.page.id === 'recorder' ? { ...one, ...use, page: change(one.page) } : one));
  return { ...BOOK, pagesOf: { ...BOOK.pagesOf, recorder: own } };
}
const stepWith =
  (id: string, other: object) =>
  (page: Page): Page => ({ ...page, steps: page.steps.map((step) => (step.id === id ? { ...step, ...other } : step)) });
const same = (page: Page): Page => page;

describe('what somebody forgets in a new kind is found, and says where', () => {
  test.each<[string, Book, RegExp]>([
    [
      'a step no build comes to',
      bookWith(stepWith('recorder/blow-out', { when: { bag: ['hide'] } })),
      /recorder\/blow-out/,
    ],
    [
      'a row left out that is not there',
      bookWith(same, { without: ['recorder/nothing'] }),
      /`without` names recorder\/nothing/,
    ],
    [
      'words for a step that is not there',
      bookWith(same, { says: { 'recorder/nothing': { harm: 'x' } } }),
      /`says` names recorder\/nothing/,
    ],
    [
      'a step named in after that is nowhere',
      bookWith(stepWith('recorder/apart', { after: ['recorder/nothing'] })),
      /recorder\/nothing, which is nowhere/,
    ],
    [
      'a look of another kind',
      bookWith(stepWith('recorder/apart', { calledBy: { look: 'oboe/none', answers: ['a'] } })),
      /oboe\/none/,
    ],
    ['an empty caution', bookWith(stepWith('recorder/apart', { cautions: [' '] })), /an empty line in `cautions`/],
    [
      'a hazard told and not declared',
      bookWith(stepWith('recorder/apart', { how: 'Wipe it with alcohol.' })),
      /alcohol/,
    ],
    [
      'an agent that is forbidden there',
      bookWith(stepWith('recorder/apart', { uses: [{ agent: 'bore-oil', on: 'pads' }] })),
      /bore-oil/,
    ],
    [
      'a heading that is no order',
      bookWith(stepWith('recorder/apart', { heading: 'Head and foot off' })),
      /begins with no verb/,
    ],
    ['a part it has not got', bookWith(stepWith('recorder/apart', { harm: 'the rotors stick' })), /rotors/],
    ['a deed hands cannot do', bookWith(stepWith('recorder/apart', { does: [] })), /swab|middle|off/],
  ])('%s', (_what, book, words) => {
    const faults = checkKind(book, 'recorder').flatMap((one) => one.faults);
    expect(faults.some(({ where, what }) => words.test(`${where}: ${what}`))).toBe(true);
  });
});
