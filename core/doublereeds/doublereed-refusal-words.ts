/** Why something cannot be said at the double-reed table. */
export const DOUBLEREED_REFUSALS = {
  'no-double-reed': () => 'That is no double reed: it is looked at in the reeds.',
  'no-scrape-here': () => 'Only double reeds are scraped long or short, and measured.',
  'no-such-examination': () => 'No such reed is on the table.',
  'reed-on-table': () => 'That reed is on the table already.',
  'table-is-over': () => 'That reed was put down long ago. Take it up again from the reeds.',
  'not-asked-now': () =>
    'Something else is next at the table: it may have been answered on another device. Look again.',
  'not-heard-so': () => 'Such a reed does not crow so.',
  'no-pitch-there': () => 'A pitch is only read where the crow is as it should be.',
  'pitch-from-elsewhere': () => 'The pitch of this reed is read from something else.',
  'no-step-so': () => 'That is more than is ever taken off a reed at once.',
};
