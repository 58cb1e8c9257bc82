import type { Skill, Standing } from '#core/players/player.ts';

/** Invented people of Saltmarsh Theatre and the Tideway Wind Band. */
export type DemoPlayer = {
  readonly id: string;
  readonly name: string;
  readonly standing: Standing;
  readonly does: readonly Skill[];
};

export const DEMO_PLAYERS: readonly DemoPlayer[] = [
  { id: 'marit', name: 'Marit Oyelaran', standing: 'grown-up', does: ['key-oil', 'bore-oil', 'screws'] },
  { id: 'lucan', name: 'Lucan Reyes-Holm', standing: 'grown-up', does: ['key-oil'] },
  { id: 'ife', name: 'Ife Reyes-Holm', standing: 'child', does: [] },
  { id: 'teodor', name: 'Teodor Quist', standing: 'grown-up', does: ['bore-oil', 'blades'] },
  { id: 'petra', name: 'Petra Ljungqvist-Amadi', standing: 'grown-up', does: ['key-oil', 'blades'] },
  { id: 'asha', name: 'Asha Brandvold', standing: 'grown-up', does: [] },
  { id: 'wren', name: 'Wren Castellan', standing: 'grown-up', does: [] },
];
