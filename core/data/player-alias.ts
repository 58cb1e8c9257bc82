/** The kind of fact that says which player of another record is who here. */
export const PLAYER_ALIAS = 'player-alias';
