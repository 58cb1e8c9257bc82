/** @jest-environment jsdom */
import { afterAll, afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { act, cleanup, render, screen } from '@testing-library/react';

// Modules look the clock up once: it is another's before they are read.
jest.useFakeTimers();
const { useNowMs, useToday } = await import('#web/clock/today.ts');
beforeEach(() => void jest.setSystemTime(new Date(2026, 10, 29, 23, 59, 50)));
afterEach(cleanup);
afterAll(() => void jest.useRealTimers());

const Today = () => <p>{useToday()}</p>;
function Seconds({ running }: { readonly running: boolean }) {
  return <p>{useNowMs(running) / 1000}</p>;
}
const shown = (): string => screen.getByText(/./).textContent ?? '';
const pass = (ms: number): void => act(() => void jest.advanceTimersByTime(ms));

test('a page that stays open over midnight shows the new day within a quarter of a minute', () => {
  render(<Today />);
  expect(shown()).toBe('2026-11-29');
  pass(9_000);
  expect(shown()).toBe('2026-11-29');
  pass(16_000);
  expect(shown()).toBe('2026-11-30');
});

test('looked at again after hours it shows the day at once', () => {
  render(<Today />);
  jest.setSystemTime(new Date(2026, 11, 2, 8, 0, 0));
  act(() => void document.dispatchEvent(new Event('visibilitychange')));
  expect(shown()).toBe('2026-12-02');
});

test('seconds pass while something runs, and only then', () => {
  render(<Seconds running />);
  const begun = Number(shown());
  pass(3_000);
  expect(Number(shown())).toBe(begun + 3);
  cleanup();
  render(<Seconds running={false} />);
  const still = shown();
  pass(3_000);
  expect(shown()).toBe(still);
});
