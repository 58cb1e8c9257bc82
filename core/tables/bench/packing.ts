import type { Packing } from '#core/book/packing.ts';
import { BRASS, DOUBLE_REEDS, KEYED, SAXOPHONES, SINGLE_REEDS, SWABBED } from '#core/tables/instruments/kind-groups.ts';

const WITH_REEDS = [...SINGLE_REEDS, ...DOUBLE_REEDS, 'highland-pipes'] as const;

/** Packing for the bench and fetching from it (practice book; what no mark is said of there is general). */
export const PACKING: Packing = {
  out: [
    { id: 'swabbed', text: 'Swabbed and dry.', kinds: SWABBED, mark: 'practice' },
    { id: 'emptied', text: 'All water let out, outside wiped.', kinds: BRASS, mark: 'general' },
    { id: 'reeds-out', text: 'Reeds and reed case taken out: they stay at home.', kinds: WITH_REEDS, mark: 'practice' },
    { id: 'strap-out', text: 'Strap or harness taken out.', kinds: [...SAXOPHONES, 'bassoon'], mark: 'general' },
    { id: 'loose-out', text: 'Everything loose taken out: swab, grease, tools, paper.', mark: 'practice' },
    {
      id: 'mouthpiece',
      text: 'Mouthpiece wrapped apart, its cap on.',
      kinds: SINGLE_REEDS,
      mark: 'general',
    },
    {
      id: 'brass-mouthpiece',
      text: 'Mouthpiece in its own place, so that it cannot knock.',
      kinds: BRASS,
      mark: 'general',
    },
    {
      id: 'held-keys',
      text: 'Keys held with paper only where the maker says so.',
      kinds: KEYED,
      mark: 'general',
    },
    { id: 'plug', text: 'End plug in.', kinds: SAXOPHONES, mark: 'practice' },
    { id: 'bocal', text: 'Bocal in its slot.', kinds: ['bassoon', 'cor-anglais'], mark: 'practice' },
    { id: 'in-place', text: 'Each part in its own place in the case.', mark: 'practice' },
    { id: 'latched', text: 'Case latched. Rock it gently: nothing moves.', mark: 'practice' },
    { id: 'ticket', text: 'This ticket in the case, a copy kept.', mark: 'practice' },
    { id: 'day', text: 'The bench knows the day it comes.', mark: 'general' },
    {
      id: 'box',
      text: 'Latches taped. A box 5 cm larger all round, filled softly, marked fragile.',
      sent: true,
      mark: 'practice',
    },
    { id: 'ticket-outside', text: 'A ticket on the case as well, under the wrapping.', sent: true, mark: 'general' },
    { id: 'photos', text: 'Photographed from all sides before it is wrapped.', sent: true, mark: 'general' },
    {
      id: 'insured',
      text: 'Insured for its worth, and tracked. Does your own policy cover the way?',
      sent: true,
      mark: 'practice',
    },
    { id: 'weekend', text: 'Not sent over a weekend, in frost or in heat.', sent: true, mark: 'practice' },
  ],
  back: [
    { id: 'all-there', text: 'The case and all parts are there.', mark: 'general' },
    { id: 'line-by-line', text: 'The ticket line by line: is each thing done?', mark: 'general' },
    { id: 'marks', text: 'No new marks, inside the case and out.', mark: 'general' },
    { id: 'screws', text: 'Every screw is flush.', kinds: KEYED, mark: 'general' },
    { id: 'joints', text: 'The joints go together by hand.', kinds: SWABBED, mark: 'general' },
    { id: 'keys', text: 'Every key moves and comes back.', kinds: KEYED, mark: 'general' },
    { id: 'valves', text: 'Every valve and every slide moves.', kinds: BRASS, mark: 'general' },
    { id: 'play', text: 'Play it: low, high, soft.', mark: 'general' },
    { id: 'complaint', text: 'Try what was wrong before.', mark: 'general' },
    { id: 'price', text: 'The price is as it was quoted.', mark: 'general' },
    { id: 'next', text: 'Ask when it should come next.', mark: 'general' },
    {
      id: 'new-cork',
      text: 'New cork or pads: grease each time for two weeks, short plays first.',
      kinds: KEYED,
      mark: 'general',
    },
  ],
};
