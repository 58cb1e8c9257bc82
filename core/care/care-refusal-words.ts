/** Why something cannot be written down about the care of an instrument. */
export const CARE_REFUSALS = {
  'no-such-care': () => 'This instrument has no such care.',
  'not-done-yet': () => 'That has not happened yet.',
  'was-new': () => 'It was new when it came; nothing was done to it before.',
  'goes-by-its-clock': ({ item }: { item: string }) => `${item} goes by its clock, not by a sign.`,
  'not-seen-there': ({ seen }: { seen: string }) => `This instrument has no such part for "${seen}".`,
  'belongs-to-every-play': ({ item }: { item: string }) =>
    `${item} belongs to every play; leave it out in the run, with a reason.`,
  'never-planned': ({ item }: { item: string }) =>
    `${item} is done on the spot or not at all; nothing is to be put off.`,
  'day-and-waiting': () => 'A day goes with letting wait, and with nothing else.',
  'waits-too-long': () => 'Let it wait until a day after today, within a year.',
  'is-the-benchs': ({ item }: { item: string }) => `${item} is the bench’s; it is not a step at home.`,
  'waits-for-the-bench': ({ item, blocker }: { item: string; blocker: string }) =>
    `${item} waits for the bench: ${blocker}.`,
  'named-twice': () => 'Each piece of care is named once.',
};
