/** @jest-environment jsdom */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { ListedPlayer } from '#core/players/profile.ts';
import { MinderChoice } from '#web/features/players/parts/MinderChoice.tsx';
import { PlayerForm, type PlayerEntry } from '#web/features/players/parts/PlayerForm.tsx';
import { draw, isDead, tap, tick, typeInto } from '#web/testing/parts.tsx';

afterEach(cleanup);

describe('who plays', () => {
  const opened = (over: { known?: PlayerEntry; problem?: string; busy?: boolean } = {}) => {
    const onSave = jest.fn();
    draw(<PlayerForm busy={false} problem={null} onSave={onSave} {...over} />);
    return onSave;
  };
  const standing = (words: string) => fireEvent.click(screen.getByRole('radio', { name: words }));

  test('a first name is enough: a grown-up who leaves the rest to the bench', async () => {
    const onSave = opened();
    typeInto('Your name', '  Ada ');
    tap('Add');
    await waitFor(() => expect(onSave).toHaveBeenCalledTimes(1));
    expect(onSave.mock.calls[0]?.[0]).toEqual({ name: 'Ada', standing: 'grown-up', does: [] });
  });

  test('without a name it says what is needed, and sends nothing', async () => {
    const onSave = opened();
    typeInto('Your name', '   ');
    tap('Add');
    await screen.findByText('A name is needed, a first name will do.');
    expect(onSave).not.toHaveBeenCalled();
  });

  test('what somebody does themselves is ticked, and unticked again', async () => {
    const onSave = opened();
    typeInto('Your name', 'Ada');
    tick('oil keys');
    tick('use solvents');
    tick('oil keys');
    tap('Add');
    await waitFor(() => expect(onSave.mock.calls[0]?.[0]).toMatchObject({ does: ['solvents'] }));
  });

  test('a child does none of it, whatever was ticked before', async () => {
    const onSave = opened();
    typeInto('Your name', 'Kit');
    tick('use blades on reeds');
    standing('Child with a grown-up');
    await waitFor(() => expect(screen.queryByRole('checkbox')).toBeNull());
    tap('Add');
    await waitFor(() => expect(onSave.mock.calls[0]?.[0]).toEqual({ name: 'Kit', standing: 'child', does: [] }));
  });

  test('somebody known is shown as they stand, and what was wrong keeps what is filled in', () => {
    opened({ known: { name: 'Ada', standing: 'pupil', does: [] }, problem: 'The name is taken.', busy: true });
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Ada');
    expect(screen.getByRole<HTMLInputElement>('radio', { name: 'Pupil with a teacher' }).checked).toBe(true);
    expect(screen.getByRole('alert').textContent).toBe('The name is taken. What you filled in is still here.');
    expect(isDead('Save')).toBe(true);
  });
});

describe('who looks after the instruments with a child', () => {
  const people = [
    { id: 'kit', name: 'Kit', standing: 'child', minderId: 'ada' },
    { id: 'ada', name: 'Ada', standing: 'grown-up', minderId: null },
    { id: 'ben', name: 'Ben', standing: 'grown-up', minderId: null },
    { id: 'wren', name: 'Wren', standing: 'pupil', minderId: null },
  ] as unknown as ListedPlayer[];

  test('is a grown-up other than they, or nobody', () => {
    const onChoose = jest.fn();
    draw(<MinderChoice player={people[0] as ListedPlayer} people={people} onChoose={onChoose} />);
    expect(screen.getAllByRole('button').map(({ textContent }) => textContent)).toEqual(['Nobody', 'Ada', 'Ben']);
    tap('Ben');
    tap('Nobody');
    expect(onChoose.mock.calls).toEqual([['ben' as PlayerId], [null]]);
  });
});
