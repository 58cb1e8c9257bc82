/** Why something cannot be written down about a player. */
export const PLAYER_REFUSALS = {
  'no-such-player': () => 'No such player in the record.',
  'player-taken-back': () => 'This player was taken back. Add them under another id.',
  'id-of-another-player': ({ fields }: { fields: readonly string[] }) =>
    `This id belongs to another player: ${fields.join(', ')} differ.`,
  'player-has-a-record': () => 'There is more about them in the record, so they stay in it.',
  'minds-themselves': () => 'Somebody else looks after them, not they themselves.',
  'needs-no-minder': () => 'A grown-up looks after their own instruments.',
  'added-like-this': () => 'It is what they were added with. Say what has changed instead.',
};
