import { hangUp, lay, open, shut, stow, take } from '#core/book/deed.ts';
import type { Page } from '#core/book/page.ts';
import { estimate } from '#core/explain/explained.ts';

/**
 * What was packed up on the way and is cased damp: laid out and dried at home. What was left of every play comes in
 * between, by the run it was left in. Minutes per step are estimates.
 */
export const onTheWay: Page = {
  id: 'on-the-way',
  items: [
    {
      id: 'on-the-way/cased-damp',
      name: 'Lay it out at home and dry it',
      part: 'case',
      trigger: { kind: 'when-so', words: 'a case shut damp on the way' },
      severity: 'lasting',
      why: 'Damp works on in the shut case: it moulds, corks swell and pads stick.',
      mark: 'practice',
    },
  ],
  steps: [
    {
      id: 'on-the-way/lay-out',
      item: 'on-the-way/cased-damp',
      part: 'case',
      heading: 'Open the case and lay everything out',
      how: 'Lay each piece on a dry towel, keys up, away from heaters and the sun.',
      minutes: 0.5,
      after: [],
      reaches: ['case-open'],
      must: true,
      harm: 'damp works on in the shut case',
      supplies: ['dry towel'],
      does: [open('case'), take('everything'), lay('everything')],
      mark: 'practice',
    },
    {
      id: 'on-the-way/swab-out',
      item: 'on-the-way/cased-damp',
      part: 'swab',
      heading: 'Hang up the swab and turn out its bag',
      how: 'Whatever the damp cloth travelled in is opened as well.',
      minutes: 0.3,
      after: ['on-the-way/lay-out'],
      needs: ['swab-used', 'sockets-dry'],
      must: true,
      harm: 'a damp cloth grows mould in days',
      does: [hangUp('swab')],
      mark: 'practice',
    },
    {
      id: 'on-the-way/air',
      item: 'on-the-way/cased-damp',
      part: 'case',
      heading: 'Leave the case open beside it',
      how: 'Feel the lining: where it is damp, it dries as long as the instrument does.',
      minutes: 0.1,
      wait: {
        minutes: estimate(30),
        why: 'the air takes what a cloth does not reach; about half an hour is an estimate',
        until: ['on-the-way/back'],
      },
      after: ['on-the-way/lay-out'],
      needs: ['swab-used', 'sockets-dry', 'wiped'],
      must: true,
      harm: 'damp stays in the lining',
      does: [],
      mark: 'practice',
    },
    {
      id: 'on-the-way/back',
      item: 'on-the-way/cased-damp',
      part: 'case',
      heading: 'Put each piece back and shut the case',
      how: 'Feel sockets and tenons first. What is still damp stays out.',
      minutes: 0.5,
      after: ['on-the-way/air'],
      closing: true,
      must: true,
      harm: 'it lies about, and somebody sits on it',
      does: [stow('everything'), shut('case')],
      mark: 'practice',
    },
  ],
  neverDos: [],
};
