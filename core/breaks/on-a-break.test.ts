import { describe, expect, test } from '@jest/globals';
import { onABreak, type OnABreak } from '#core/breaks/on-a-break.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import type { Build } from '#core/instruments/build.ts';
import { plainContext } from '#core/methods/practice-under.ts';
import type { MethodChoices } from '#core/book/method-setting.ts';
import type { Standing } from '#core/players/player.ts';
import { BOOK } from '#core/tables/book.ts';
import { buildDials } from '#core/testing/cases.ts';
import { pairwise } from '#core/testing/pairwise.ts';

const told = (kind: KindId, over: { build?: Build; standing?: Standing; choices?: MethodChoices } = {}): OnABreak => {
  const build = { ...usualBuild(BOOK.kinds[kind]), ...over.build };
  const setting = { choices: over.choices ?? {}, context: plainContext(BOOK, kind, build) };
  return onABreak(BOOK, { kind, build, standing: over.standing ?? 'grown-up' }, setting);
};
const ids = ({ lines }: OnABreak) => lines.map(({ id }) => id);
const happens = ({ meanwhile }: OnABreak) => meanwhile.map(({ id }) => id);

describe.each(KIND_IDS)('a break with a %s', (kind) => {
  const builds = [{}, ...(pairwise(buildDials(BOOK, kind)) as Build[])];

  test('is two or three lines, and the last says where it lies', () => {
    for (const build of builds) {
      const { lines } = told(kind, { build });
      expect(lines.length).toBeLessThanOrEqual(3);
      expect(lines.at(-1)?.id).toBe('place');
    }
  });

  test('knows something that may happen, each once, in whole sentences', () => {
    for (const build of builds) {
      const { meanwhile } = told(kind, { build });
      const signs = meanwhile.map(({ sign }) => sign);
      expect(signs.length).toBeGreaterThan(0);
      expect(new Set(signs).size).toBe(signs.length);
      for (const { now, later } of meanwhile) for (const say of [...now, later]) expect(say).toMatch(/^[A-Z].*\.$/);
    }
  });

  test('leaves a child with one thing to do: to show it to somebody, or what cannot go wrong', () => {
    for (const build of builds)
      for (const { now, later } of told(kind, { build, standing: 'child' }).meanwhile) {
        expect(later).toBeNull();
        expect(now).toHaveLength(1);
        expect(now[0]).toMatch(/teacher|grown-up/);
        expect(now[0]).not.toMatch(/oil|paper|unscrew it|pliers/);
      }
  });
});

describe('what a break is made of', () => {
  test('cap and spare of a reed, water of brass, the lock of a slide', () => {
    expect(ids(told('clarinet'))).toEqual(['cap', 'spare', 'place']);
    expect(ids(told('oboe'))).toEqual(['reed-out', 'second', 'place']);
    expect(ids(told('trombone'))).toEqual(['water', 'lock', 'place']);
    expect(ids(told('horn'))).toEqual(['water-horn', 'place']);
  });

  test('a reed dries, a flute has none', () => {
    expect(told('clarinet').reedDries).toEqual({ value: 10, mark: 'estimate' });
    expect(told('flute').reedDries).toBeNull();
  });

  test('where it lies is the player’s own way', () => {
    const place = (choice: string) => told('oboe', { choices: { 'leaving-the-chair': choice } }).lines.at(-1)?.say;
    expect(place('halves-on-chair')).toContain('middle joint');
    expect(place('never-on-a-chair')).toContain('Never lay it on a chair');
  });
});

describe('what happens in the middle', () => {
  test('a key that sticks: skin is pressed and never rubbed, and the likely keys come first', () => {
    const key = (pads: 'skin' | 'leather') =>
      told('clarinet', { build: { pads } }).meanwhile.find(({ sign }) => sign === 'A key sticks')?.now ?? [];
    expect(key('skin')[0]).toContain('register key');
    expect(key('skin')[1]).toContain('Never draw paper across skin');
    expect(key('leather')[1]).toContain('draw the paper out');
  });

  test('wood may crack, plastic does not', () => {
    expect(happens(told('clarinet', { build: { body: 'wood' } }))[0]).toBe('crack');
    expect(happens(told('clarinet', { build: { body: 'plastic' } }))).not.toContain('crack');
  });

  test('a valve hangs where there are pistons', () => {
    expect(happens(told('trumpet'))).toContain('valve');
    expect(happens(told('horn'))).not.toContain('valve');
  });
});
