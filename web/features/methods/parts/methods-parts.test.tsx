import { describe, expect, test } from '@jest/globals';
import { renderToStaticMarkup } from 'react-dom/server';
import type { MethodChoiceView, MethodView } from '#contract/methods.ts';
import { ChoiceWell } from '#web/features/methods/parts/ChoiceWell.tsx';
import { QuestionLine } from '#web/features/methods/parts/QuestionLine.tsx';

const nothing = () => undefined;
const choice = (over: Partial<MethodChoiceView> = {}): MethodChoiceView => ({
  choice: 'monthly',
  words: 'monthly',
  mark: 'practice',
  inForce: false,
  isDefault: false,
  cost: null,
  barred: null,
  yearWords: 'about 1 h less a year',
  changes: [{ rule: 'times', text: 'Wash the swab: 12 times this year instead of 52.', mark: 'yours' }],
  ...over,
});
const textOf = (html: string) =>
  html
    .replaceAll(/<style.*?<\/style>/gs, '')
    .replaceAll(/<[^>]+>/g, ' ')
    .replaceAll(/\s+/g, ' ');
const well = (over: Partial<MethodChoiceView> = {}) =>
  renderToStaticMarkup(<ChoiceWell choice={choice(over)} question="How often?" busy={false} onChoose={nothing} />);

describe('a choice', () => {
  test('says what a year with it costs, and can be taken', () => {
    expect(textOf(well())).toContain('about 1 h less a year');
    expect(well()).toContain('aria-label="Do it this way: monthly"');
    expect(well()).not.toContain('disabled=""');
  });

  test('in force it offers nothing and claims no change', () => {
    const html = well({ inForce: true, isDefault: true });
    expect(textOf(html)).toContain('In force');
    expect(textOf(html)).toContain('the default');
    expect(html).not.toContain('Do it this way');
    expect(textOf(html)).not.toContain('less a year');
  });

  test('that cannot be had here says why and cannot be taken', () => {
    const html = well({ barred: 'a cored swab never goes through the neck' });
    expect(textOf(html)).toContain('Not here: a cored swab never goes through the neck.');
    expect(html).toContain('disabled=""');
    expect(textOf(html)).not.toContain('less a year');
  });

  test('that changes nothing of the year says so; one that only rewords claims no time', () => {
    expect(textOf(well({ changes: [], yearWords: '' }))).toContain('No step, minute or date changes.');
    expect(textOf(well({ yearWords: '' }))).toContain('No more time');
  });

  test('what it costs in the trade’s words stands with it', () => {
    expect(textOf(well({ cost: 'it leaves residue' }))).toContain('It costs: it leaves residue.');
  });
});

describe('a question', () => {
  const method = (over: Partial<MethodView> = {}): MethodView => ({
    method: 'swab-wash',
    question: 'How often is the swab washed?',
    moment: 'Cleaning',
    byPlayer: false,
    defaultWhy: 'a wet cloth in a closed case grows mould in days',
    choices: [choice({ choice: 'weekly', words: 'weekly', inForce: true, isDefault: true }), choice()],
    ...over,
  });
  const line = (over: Partial<MethodView>, open: boolean) =>
    renderToStaticMarkup(
      <QuestionLine method={method(over)} open={open} busy={false} onToggle={nothing} onChoose={nothing} />,
    );

  test('is one line with its answer and whose it is, until it is opened', () => {
    const closed = line({}, false);
    expect(textOf(closed)).toMatch(/How often is the swab washed\? weekly · default/);
    expect(closed).toContain('aria-expanded="false"');
    expect(textOf(closed)).not.toContain('Do it this way');
    expect(textOf(line({}, true))).toContain('The default, and why: a wet cloth');
  });

  test('goes back to the default only where somebody has chosen', () => {
    expect(textOf(line({}, true))).not.toContain('Back to the default');
    const own = line({ byPlayer: true }, true);
    expect(textOf(own)).toContain('Back to the default');
    expect(textOf(own)).toContain('· yours');
  });
});
