import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { PlayerId } from '#core/instruments/instrument.ts';
import { addPlayer } from '#server/features/players/players.use-cases.ts';
import { OptionRefusal } from '#server/options.ts';
import type { loadDemo } from '#tools/load-demo.ts';
import { makeDemo } from '#tools/make-demo.ts';

let place: string;
beforeEach(() => {
  jest.spyOn(console, 'log').mockImplementation(() => undefined);
  place = mkdtempSync(path.join(tmpdir(), 'ulu-making-'));
});
afterEach(() => rmSync(place, { recursive: true, force: true }));

/** A world of one player: what a whole one holds is looked at elsewhere. */
const small: typeof loadDemo = (services) =>
  void addPlayer(services, { id: 'ada' as PlayerId, name: 'Ada', standing: 'grown-up', does: [] });

test('a demo that was cut off while it was made is made again, and nothing of it is left', () => {
  const folder = path.join(place, 'demo');
  const cutOff: typeof loadDemo = (services, today) => {
    small(services, today);
    // As if it were killed: nothing is where a demo should be.
    expect(existsSync(folder)).toBe(false);
    throw new Error('killed');
  };
  expect(() => makeDemo(folder, cutOff)).toThrow('killed');
  expect(readdirSync(place)).not.toEqual([]);
  expect(existsSync(folder)).toBe(false);
  makeDemo(folder, small);
  expect(readdirSync(place)).toEqual(['demo']);
  expect(readdirSync(folder)).toEqual(expect.arrayContaining(['made-on', 'ulu.db']));
  // Made today, it stays as it is.
  makeDemo(folder, cutOff);
});

test('one of an earlier day is moved aside, with what was tried out in it', () => {
  const folder = path.join(place, 'demo');
  makeDemo(folder, small);
  writeFileSync(path.join(folder, 'made-on'), '2026-01-01');
  writeFileSync(path.join(folder, 'tried.txt'), 'out');
  makeDemo(folder, small);
  expect(readdirSync(place).toSorted()).toEqual(['demo', 'demo-earlier']);
  expect(readdirSync(path.join(place, 'demo-earlier'))).toContain('tried.txt');
  expect(readdirSync(folder)).not.toContain('tried.txt');
});

test('a folder that is no demo is left alone', () => {
  const folder = path.join(place, 'mine');
  mkdirSync(folder);
  writeFileSync(path.join(folder, 'letter.txt'), 'Dear …');
  expect(() => makeDemo(folder)).toThrow(OptionRefusal);
  expect(readdirSync(folder)).toEqual(['letter.txt']);
});
