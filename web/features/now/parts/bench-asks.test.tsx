/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import type { InstrumentPage } from '#contract/care.ts';
import { BenchAsks } from '#web/features/now/parts/BenchAsks.tsx';
import { draw } from '#web/testing/parts.tsx';

type Asked = InstrumentPage['benchAsks'];
const asked = (benchAsks: Asked) =>
  draw(<BenchAsks page={{ instrument: { id: 'horn' }, benchAsks } as unknown as InstrumentPage} />);

test.each<[NonNullable<Asked>['what'], string, string]>([
  ['pack', 'Pack it', '/bench/horn/pack'],
  ['fetch', 'See it', '/bench/horn'],
  ['measure', 'Measure', '/bench/horn'],
])('%s leads to where it is done', (what, name, to) => {
  asked({ what, words: 'It is so' });
  expect(screen.getByText('It is so.')).toBeTruthy();
  expect(screen.getByRole('link', { name }).getAttribute('href')).toBe(to);
});

test('nothing asked, nothing shown', () => {
  const { container } = asked(null);
  expect(container.textContent).toBe('');
});
