import type { Agent } from '#core/book/agent.ts';
import { BASSOON } from '#core/tables/agents/among.ts';

/** Tools and tape. */
export const TOOLS: readonly Agent[] = [
  {
    id: 'clear-tape',
    name: 'Clear tape',
    group: 'Tools',
    rows: [{ on: ['bamboo-joint'], verdict: 'yes', why: 'One turn of it goes on a loose joint.' }],
  },
  {
    id: 'reed-tools',
    name: 'Knife, plate or sandpaper',
    group: 'Tools',
    rows: [
      { on: ['reed'], verdict: 'care', why: 'It is sharp. Cut away from the body, and never alone as a child.' },
      {
        on: ['double-reed'],
        verdict: 'care',
        why: 'It is sharp. Cut away from the body, with the reed wet, and never alone as a child.',
      },
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
        why: 'It helps a reed that stops short, is oval or rocks. It only ever widens, so never use it on a loose reed.',
      },
    ],
  },
  {
    id: 'truing-tool',
    name: 'Mouthpiece truing tool and rawhide mallet',
    group: 'Tools',
    rows: [{ on: ['brass-mouthpiece'], verdict: 'care', why: 'It is for a teacher or the bench.' }],
  },
];
