import { describe, expect, test } from '@jest/globals';
import { renderToStaticMarkup } from 'react-dom/server';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import type { ConditionsPage, ConditionView } from '#contract/conditions.ts';
import { localDate } from '#core/time/local-date.ts';
import type { ConditionActions } from '#web/features/conditions/conditions.actions.ts';
import { ConditionsNow } from '#web/features/conditions/parts/ConditionsNow.tsx';
import { StandingConditions } from '#web/features/conditions/parts/StandingConditions.tsx';

const TODAY = localDate('2026-11-24');
const nothing = () => undefined;
const actions = {
  busy: false,
  fields: [],
  problem: null,
  open: nothing,
  begin: nothing,
  end: nothing,
  goOn: nothing,
} as unknown as ConditionActions;
const ill = (over: Partial<ConditionView> = {}): ConditionView => ({
  key: 'k',
  condition: 'ill',
  name: 'Ill',
  ofPlayer: true,
  beginsOn: localDate('2026-11-20'),
  lastDay: null,
  endWords: 'when you are well',
  partName: null,
  aloneName: null,
  inForce: true,
  endKey: null,
  byReading: false,
  calls: [
    {
      itemId: 'swab/wash',
      name: 'Wash the swab',
      on: localDate('2026-11-24'),
      words: 'on day 4 and day 7',
      mark: 'one-voice',
    },
  ],
  effects: [{ text: 'No sharing: nobody else plays it.', mark: 'practice' }],
  ...over,
});
const page = (...standing: ConditionView[]): ConditionsPage => ({
  instrumentId: 'oboe' as InstrumentId,
  playerName: 'Teodor',
  standing,
  offers: [],
  suggested: null,
});
const textOf = (html: string) =>
  html
    .replaceAll(/<style.*?<\/style>/gs, '')
    .replaceAll(/<[^>]+>/g, ' ')
    .replaceAll(/\s+/g, ' ');
const standing = (...all: ConditionView[]) =>
  textOf(renderToStaticMarkup(<StandingConditions page={page(...all)} today={TODAY} actions={actions} />));

describe('what changes for a while', () => {
  test('with nothing in force it says what it is for', () => {
    const offers = ['Ill', 'New cork', 'New wood'].map((name) => ({ name }));
    const offered = { ...page(), offers } as unknown as ConditionsPage;
    const html = renderToStaticMarkup(<StandingConditions page={offered} today={TODAY} actions={actions} />);
    expect(textOf(html)).toContain(
      'What changes for a while, from its first day to its last: ill, new cork and new wood.',
    );
  });

  test('what happened speaks for one: said with its reason, one tap away', () => {
    const suggested = {
      condition: 'wet-tour' as const,
      name: 'Wet tour week',
      because: 'It was in the rain on 3 days.',
    };
    const html = renderToStaticMarkup(
      <StandingConditions page={{ ...page(), suggested }} today={TODAY} actions={actions} />,
    );
    expect(textOf(html)).toContain('It was in the rain on 3 days. Note it: wet tour week');
    expect(standing()).not.toContain('Note it');
  });

  test('in force: since when, how it ends, what it holds to, what it asks for, and the way out', () => {
    const text = standing(ill());
    expect(text).toMatch(/since .*20.* · ends when you are well/);
    expect(text).toContain('No sharing');
    expect(text).toContain('What it asks for (1)');
    expect(text).toContain('End it');
  });

  test('ended: until when, and that it may go on after all; it asks for nothing more', () => {
    const text = standing(ill({ inForce: false, lastDay: localDate('2026-11-22'), endKey: 'e' }));
    expect(text).toContain('ended');
    expect(text).toContain('It goes on');
    expect(text).not.toContain('End it');
    expect(text).not.toContain('What it asks for');
  });

  test('still to come: from when, and already what it will ask for', () => {
    const text = standing(ill({ name: 'A long rest ahead', inForce: false, beginsOn: localDate('2026-12-01') }));
    expect(text).toContain('from');
    expect(text).toContain('What it asks for');
    expect(text).not.toContain('End it');
  });

  test('an instrument that has left offers nothing', () => {
    expect(standing()).not.toContain('Something has changed');
  });
});

describe('beside the next action', () => {
  const now = (...all: ConditionView[]) => textOf(renderToStaticMarkup(<ConditionsNow page={page(...all)} />));
  test('stands what is in force, with the one thing to hold to, else what it asks for', () => {
    expect(now(ill())).toContain('Ill. No sharing: nobody else plays it.');
    expect(now(ill({ effects: [] }))).toContain('Ill. Wash the swab, on day 4 and day 7.');
    expect(now(ill({ inForce: false }))).toBe('');
  });
});
