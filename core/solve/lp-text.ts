import type { Column, Program, Row, Term } from '#core/solve/program.ts';

/** Names are by place: whatever people call a column, the text is well formed. */
const column = (index: number): string => `x${index}`;
const number = (value: number): string => (Object.is(value, -0) ? '0' : String(value));

const terms = (all: readonly Term[]): string =>
  all.length === 0
    ? `0 ${column(0)}`
    : all.map(([index, times]) => `${times < 0 ? '-' : '+'} ${number(Math.abs(times))} ${column(index)}`).join(' ');

function rowLines({ terms: of, least, most }: Row, index: number): string[] {
  const sum = terms(of);
  if (least === most) return [` r${index}: ${sum} = ${number(least)}`];
  return [
    ...(least > -Infinity ? [` r${index}l: ${sum} >= ${number(least)}`] : []),
    ...(most < Infinity ? [` r${index}m: ${sum} <= ${number(most)}`] : []),
  ];
}

const limit = (value: number): string => (Math.abs(value) === Infinity ? `${value < 0 ? '-' : '+'}inf` : number(value));
const boundLine = ({ least, most }: Column, index: number): string =>
  ` ${limit(least)} <= ${column(index)} <= ${limit(most)}`;

/** A program in CPLEX-LP text, the format independent solvers read. Columns are x0, x1 … in their order. */
export function lpText({ columns, rows }: Program): string {
  const whole = columns.flatMap(({ whole: is }, index) => (is ? [` ${column(index)}`] : []));
  return [
    'Minimize',
    ` cost: ${terms(columns.map(({ cost }, index): Term => [index, cost]))}`,
    'Subject To',
    ...rows.flatMap(rowLines),
    'Bounds',
    ...columns.map(boundLine),
    ...(whole.length > 0 ? ['Generals', ...whole] : []),
    'End',
    '',
  ].join('\n');
}
