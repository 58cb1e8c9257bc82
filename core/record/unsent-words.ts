/** Said while the server does not answer and somebody goes on all the same. */
export const unsentWords = (count: number): string =>
  `Ulu’s server does not answer. Go on: ${count === 1 ? 'one entry is' : `${count} entries are`} kept on this device and sent as soon as it does.`;

/** Said where the device has no room to keep what waits. */
export const noRoomWords = (count: number): string =>
  `This device has no room for ${count === 1 ? 'one of them' : `${count} of them`}: leave this page open until ${count === 1 ? 'it is' : 'they are'} sent.`;

/** What was refused after its form had closed. */
export const refusedWords = (says: string, why: string): string =>
  `Not in the record: ${says === '' ? '' : `“${says}” `}${why}`;
