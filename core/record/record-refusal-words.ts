/** Why an entry cannot be written down, put right or taken back, whatever its kind. */
export const RECORD_REFUSALS = {
  'taken-back': () => 'This entry was taken back. Log it anew.',
  'another-under-this-key': ({ fields }: { fields: readonly string[] }) =>
    `Another entry has this key: ${fields.join(', ')} ${fields.length === 1 ? 'differs' : 'differ'}.`,
  'nothing-under-this-key': () => 'Nothing in the record has this key.',
  'withdrawal-stays': () => 'What was taken back stays so. Log it anew.',
  'nothing-to-correct': () => 'No such entry of this kind in the record.',
  'not-correctable': () => 'An entry of this kind is taken back and logged anew.',
  'correcting-what-was-taken-back': () => 'What it would correct was taken back. Log it anew.',
  'not-yours': () => 'This is not yours to see or to change.',
  busy: () => 'Another program holds your record just now. Nothing was lost; try again in a moment.',
  damaged: () =>
    'The file of your record is damaged, so nothing more is written into it. Stop Ulu and put a copy of the file in its place.',
  gone: () =>
    'The file of your record is no longer in its folder, so nothing more is written down. Put it back and start Ulu again.',
  full: () =>
    'The disk is full, so nothing more can be written down. Nothing that was recorded is lost. Make room and try again.',
  'no-copy': ({ why }: { why: string }) => why,
  'no-such-copy': () => 'There is no copy of that name any more.',
  'nothing-brought-in': () => 'This file is not here any more. Bring it in again.',
  'not-today': () => 'This is not today anywhere. Check the clock of this device.',
};
