/** Why an event cannot be written down. */
export const EVENT_FAULTS = {
  'event-too-far': () => 'An event lies within two years of today.',
  'event-ends-before': () => 'It cannot end before it begins.',
  'event-too-long': () => 'It ends within a year.',
  'event-of-one-day': () => 'What is played is entered day by day.',
  'event-without-minutes': () => 'Say how many minutes are played.',
  'event-not-played': () => 'Nothing is played in it, so it has no minutes.',
  'event-of-nothing': () => 'Say which instrument it is played on.',
  'event-on-anothers': () => 'An event is played on instruments of its own player, each named once.',
};
