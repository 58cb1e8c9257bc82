/** @jest-environment jsdom */
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import type { VerdictsView } from '#contract/agents.ts';
import { Dilution } from '#web/features/agents/parts/Dilution.tsx';
import { Verdicts } from '#web/features/agents/parts/Verdicts.tsx';
import { choose, draw, typeInto } from '#web/testing/parts.tsx';

afterEach(cleanup);

describe('how much of the bottle, how much water', () => {
  // C1·V1 = C2·V2: general chemistry, worked by hand.
  test('the usual peroxide is worked out at once, another by typing it, with a comma as well', () => {
    draw(<Dilution />);
    expect(screen.getByRole('status').textContent).toBe('50 mL from the bottle, 100 mL water');
    typeInto('The bottle holds, %', '6');
    expect(screen.getByRole('status').textContent).toBe('25 mL from the bottle, 125 mL water');
    typeInto('You want, %', '1,5');
    typeInto('How much, mL', '100');
    expect(screen.getByRole('status').textContent).toBe('25 mL from the bottle, 75 mL water');
  });

  test.each([
    ['nothing', ''],
    ['words', 'some'],
    ['less than none', '-3'],
  ])('%s is no figure: it says so, and names no amount', (_what, value) => {
    draw(<Dilution />);
    typeInto('The bottle holds, %', value);
    expect(screen.getByRole('alert').textContent).not.toBe('');
    expect(screen.getByRole('status').textContent).not.toMatch(/from the bottle, .* water/);
    expect(screen.getByLabelText('The bottle holds, %').getAttribute('aria-invalid')).toBe('true');
  });

  test('nothing is made stronger by water', () => {
    draw(<Dilution />);
    typeInto('You want, %', '9');
    expect(screen.getByRole('alert').textContent).toMatch(/\.$/);
  });
});

describe('may it touch that part?', () => {
  const part = (name: string, verdict: string, why: string, over: object = {}) => ({
    name,
    material: null,
    verdict,
    why,
    mark: 'practice',
    ...over,
  });
  const view = (over: object = {}): VerdictsView =>
    ({
      instrumentId: 'clarinet',
      cautions: ['Keep it from children.'],
      parts: [
        part('Body', 'no', 'It dries the wood.', { material: 'hard-rubber' }),
        part('Keys', 'care', 'Wipe it off at once.'),
        part('Pads', 'not-known', 'Nobody has said.'),
      ],
      ...over,
    }) as unknown as VerdictsView;

  test('each answer has its word, its parts, its reason and what that rests on; what is not known rests on nothing', () => {
    draw(<Verdicts view={view()} />);
    const rows = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(rows).toEqual([
      expect.stringMatching(/^NoBody \(hard rubber\)It dries the wood\. \(.*practice.*\)$/),
      expect.stringMatching(/^With careKeysWipe it off at once\. \(.*practice.*\)$/),
      'Not knownPadsNobody has said.',
    ]);
    expect(screen.getByRole('alert').textContent).toBe('Keep it from children.');
  });

  test('one part alone is asked for, and all of them again', () => {
    draw(<Verdicts view={view()} />);
    choose('On which part?', 'Keys');
    expect(screen.getAllByRole('listitem')).toHaveLength(1);
    choose('On which part?', 'Every part');
    expect(screen.getAllByRole('listitem')).toHaveLength(3);
  });

  test('a part another agent does not know is not asked about any more', () => {
    const { rerender } = draw(<Verdicts view={view()} />);
    choose('On which part?', 'Keys');
    rerender(
      <Verdicts view={view({ parts: [part('Body', 'yes', 'It is made for it.'), part('Pads', 'no', 'No.')] })} />,
    );
    expect(screen.getAllByRole('listitem')).toHaveLength(2);
  });

  test('the label, the maker and the bench overrule it; of no instrument at all, it says whom to ask', () => {
    draw(<Verdicts view={view()} />);
    expect(screen.getByText(/label, the maker’s leaflet and the bench overrule all of this\.$/)).toBeTruthy();
    expect(screen.queryByText(/ask the maker or the bench/)).toBeNull();
    cleanup();
    draw(<Verdicts view={view({ instrumentId: null })} />);
    expect(screen.getByText(/^What is not listed is not known: ask the maker or the bench\./)).toBeTruthy();
  });
});
