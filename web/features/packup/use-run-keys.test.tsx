/** @jest-environment jsdom */
import { useLayoutEffect } from 'react';
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render } from '@testing-library/react';
import { useRunKeys } from '#web/features/packup/use-run-keys.ts';

afterEach(cleanup);

const acted: string[] = [];
const pressEnter = () => document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));

function Run({ atHand }: { readonly atHand: string }) {
  useRunKeys(true, { tick: () => acted.push(atHand), onePass: () => undefined, skip: () => undefined });
  return null;
}

/** Presses Enter the moment a new step stands on the page, before anything is painted. */
function QuickPlayer({ atHand }: { readonly atHand: string }) {
  useLayoutEffect(() => {
    pressEnter();
  }, [atHand]);
  return <Run atHand={atHand} />;
}

test('a key acts on the step that is seen, however soon it is pressed', () => {
  const { rerender } = render(<QuickPlayer atHand="swab" />);
  rerender(<QuickPlayer atHand="finish" />);
  expect(acted).toEqual(['swab', 'finish']);
});
