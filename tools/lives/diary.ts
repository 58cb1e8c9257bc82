import type { Day, Lived, Seen } from '#tools/lives/life.ts';

function seenLines({ today, reeds, sittings }: Seen): string[] {
  return [
    ...today.lines.map(({ what, name, words, clock }) => `  ${name}: ${clock?.name ?? words ?? what}`),
    ...(reeds?.kinds ?? []).flatMap(({ kindName, today: { words }, concert, favourite }) => [
      `  ${kindName}: ${words.join(' ')}`,
      ...(concert === null ? [] : [`  ${concert.words}`]),
      ...(favourite === null ? [] : [`  ${favourite}`]),
    ]),
    ...(sittings === null
      ? []
      : [
          `  calendar: ${sittings.words}`,
          ...sittings.sittings.slice(0, 3).map(({ on, words }) => `    ${on}: ${words}`),
          ...sittings.left.slice(0, 3).map(({ name, words }) => `    no day: ${name}. ${words}`),
        ]),
  ];
}

const dayLines = ({ on, morning, lines, evening }: Day): string[] => [
  `${on}, in the morning`,
  ...seenLines(morning),
  ...lines,
  `  in the evening`,
  ...seenLines(evening),
];

/** A life day by day, as it is read aloud. */
export const diaryOf = ({ life, days }: Lived): string =>
  [`${life.name}: ${life.who}`, ...days.flatMap((day) => ['', ...dayLines(day)])].join('\n');
