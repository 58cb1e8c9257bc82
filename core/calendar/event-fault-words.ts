/** Why an event cannot be written down. */
export const EVENT_FAULTS = {
  'event-too-far': () => 'An event lies within two years of today.',
  'event-of-nothing': () => 'Say which instrument it is played on.',
  'event-on-anothers': () => 'An event is played on instruments of its own player, each named once.',
};
