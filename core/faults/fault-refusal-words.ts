/** Why something that is wrong cannot be written down so. */
export const FAULT_REFUSALS = {
  'not-asked-at-once': () => 'These are not asked about at once. Answer them one by one.',
  'not-so': () => 'What is so is said with a yes.',
  'not-one-look': () => 'These are not seen at one look. Answer them one by one.',
  'no-such-sign': () => 'This instrument, as it is built, cannot show that.',
  'no-such-cause': () => 'This instrument, as it is built, cannot have that.',
  'nothing-noticed': () => 'Say at least one thing that you notice.',
  'no-such-interview': () => 'No such question in the record.',
  'interview-is-over': () => 'This question is closed. Begin a new one.',
  'mishap-in-future': () => 'Say so once it has happened: today at the latest.',
  'mishap-before-it-came': () => 'The instrument had not come yet.',
  'instrument-is-stopped': ({ heading }: { heading: string }) => `It is stopped. ${heading}.`,
  'not-cleared-so': () => 'Whoever looks at it says so: the person named there.',
};
