import type { Agent } from '#core/book/agent.ts';
import { BASSOON } from '#core/tables/agents/among.ts';

/** Tools and tape. */
export const TOOLS: readonly Agent[] = [
  {
    id: 'clear-tape',
    name: 'Clear tape',
    group: 'Tools',
    rows: [{ on: ['bamboo-joint'], verdict: 'yes', why: 'a turn on a loose joint' }],
  },
  {
    id: 'reed-tools',
    name: 'Knife, plate or sandpaper',
    group: 'Tools',
    rows: [
      { on: ['reed'], verdict: 'care', why: 'sharp: grown-up or supervised, away from the body' },
      { on: ['double-reed'], verdict: 'care', why: 'sharp: grown-up or supervised, away from the body, reed wet' },
    ],
    cautions: ['Children only with a grown-up.'],
  },
  {
    id: 'reamer',
    name: 'Reamer',
    group: 'Tools',
    rows: [
      {
        on: ['double-reed'],
        among: BASSOON,
        verdict: 'care',
        why: 'a reed that stops short, is oval or rocks: it widens; a loose reed never',
      },
    ],
  },
  {
    id: 'truing-tool',
    name: 'Mouthpiece truing tool and rawhide mallet',
    group: 'Tools',
    rows: [{ on: ['brass-mouthpiece'], verdict: 'care', why: 'teacher or bench only' }],
  },
];
