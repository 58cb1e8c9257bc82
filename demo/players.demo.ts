import type { PlayerId } from '#core/instruments/instrument.ts';
import type { Player } from '#core/players/profile.ts';

/** Invented people of Saltmarsh Theatre and the Tideway Wind Band. */
export const DEMO_PLAYERS: readonly Player[] = (
  [
    { id: 'marit', name: 'Marit Oyelaran', standing: 'grown-up', does: ['key-oil', 'bore-oil', 'screws'] },
    { id: 'lucan', name: 'Lucan Reyes-Holm', standing: 'grown-up', does: ['key-oil'] },
    { id: 'ife', name: 'Ife Reyes-Holm', standing: 'child', does: [] },
    { id: 'teodor', name: 'Teodor Quist', standing: 'grown-up', does: ['bore-oil', 'blades'] },
    { id: 'petra', name: 'Petra Ljungqvist-Amadi', standing: 'grown-up', does: ['key-oil', 'blades'] },
    { id: 'asha', name: 'Asha Brandvold', standing: 'grown-up', does: [] },
    { id: 'wren', name: 'Wren Castellan', standing: 'grown-up', does: [] },
  ] as const
).map((player) => ({ ...player, id: player.id as PlayerId }));

/** Who looks after a child's instruments with them. */
export const DEMO_MINDERS: readonly { readonly playerId: PlayerId; readonly minderId: PlayerId }[] = [
  { playerId: 'ife' as PlayerId, minderId: 'lucan' as PlayerId },
];
