/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { Player } from '#core/players/profile.ts';
import { localDate } from '#core/time/local-date.ts';
import type { KindView } from '#contract/instruments.ts';
import { BuildForm } from '#web/features/instruments/parts/BuildForm.tsx';
import { InstrumentForm } from '#web/features/instruments/parts/InstrumentForm.tsx';
import { KindChoice } from '#web/features/instruments/parts/KindChoice.tsx';
import { choose, draw, isDead, tap, typeInto } from '#web/testing/parts.tsx';

afterEach(cleanup);

const today = localDate('2026-11-27');
const clarinet: KindView = {
  id: 'clarinet',
  name: 'Clarinet',
  family: 'Single reeds',
  fields: [
    {
      field: 'body',
      question: 'What is the body made of?',
      usual: 'wood',
      options: [
        { id: 'wood', name: 'Wood' },
        { id: 'plastic', name: 'Plastic' },
      ],
    },
  ],
};
const trumpet: KindView = { id: 'trumpet', name: 'Trumpet', family: 'Brass', fields: [] };
const people = [
  { id: 'ada', name: 'Ada', standing: 'grown-up', does: [] },
  { id: 'kit', name: 'Kit', standing: 'child', does: [] },
] as unknown as Player[];

test('a kind is one large place under its family', () => {
  const onChoose = jest.fn();
  draw(<KindChoice kinds={[clarinet, trumpet]} chosen="clarinet" onChoose={onChoose} />);
  expect(screen.getAllByRole('group').map((group) => group.getAttribute('aria-label'))).toEqual([
    'Single reeds',
    'Brass',
  ]);
  expect(screen.getByRole('button', { name: 'Clarinet' }).getAttribute('aria-pressed')).toBe('true');
  tap('Trumpet');
  expect(onChoose.mock.calls).toEqual([[trumpet]]);
});

describe('an instrument that has come', () => {
  const opened = (over: { problem?: string; busy?: boolean } = {}) => {
    const onSave = jest.fn();
    draw(
      <InstrumentForm
        kind={clarinet}
        people={people}
        playerId={'ada' as PlayerId}
        today={today}
        busy={false}
        problem={null}
        onSave={onSave}
        {...over}
      />,
    );
    return onSave;
  };

  test('is usual in everything until somebody says otherwise, and used: nothing is made up of what was done before', async () => {
    const onSave = opened();
    tap('Put it on the shelf');
    await waitFor(() => expect(onSave).toHaveBeenCalledTimes(1));
    expect(onSave.mock.calls[0]?.[0]).toEqual({
      name: 'Clarinet',
      build: { body: 'wood' },
      playerId: 'ada',
      acquiredOn: today,
      cameNew: false,
    });
  });

  test('has its name, build, player and day, and may have come new', async () => {
    const onSave = opened();
    typeInto('What do you call it?', ' School clarinet ');
    choose('What is the body made of?', 'Plastic');
    choose('Who plays it?', 'Kit');
    fireEvent.click(screen.getByRole('radio', { name: /^New/ }));
    typeInto('On which day?', '2026-09-01');
    tap('Put it on the shelf');
    await waitFor(() => expect(onSave).toHaveBeenCalledTimes(1));
    expect(onSave.mock.calls[0]?.[0]).toEqual({
      name: 'School clarinet',
      build: { body: 'plastic' },
      playerId: 'kit',
      acquiredOn: '2026-09-01',
      cameNew: true,
    });
  });

  test.each([
    ['a name', 'What do you call it?', '  ', 'Give it a name you would call it by.'],
    ['a day', 'On which day?', '', 'A day is needed; about is good enough.'],
    ['a day that is not to come', 'On which day?', '2027-01-01', 'It cannot have come later than today.'],
  ])('needs %s, says so where it is missing, and is not sent', async (_what, field, value, words) => {
    const onSave = opened();
    typeInto(field, value);
    tap('Put it on the shelf');
    await screen.findByText(words);
    expect(onSave).not.toHaveBeenCalled();
  });

  test('what was wrong keeps what is filled in', () => {
    opened({ problem: 'The name is taken.', busy: true });
    expect(screen.getByRole('alert').textContent).toBe('The name is taken. What you filled in is still here.');
    expect(isDead('Put it on the shelf')).toBe(true);
  });
});

test('a build is changed answer by answer, and what was not asked stays', () => {
  const onSave = jest.fn();
  draw(<BuildForm kind={clarinet} build={{ body: 'wood', pads: 'skin' }} busy={false} onSave={onSave} />);
  choose('What is the body made of?', 'Plastic');
  tap('Save');
  expect(onSave.mock.calls).toEqual([[{ body: 'plastic', pads: 'skin' }]]);
});
