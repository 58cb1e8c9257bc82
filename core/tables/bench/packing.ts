import type { Packing } from '#core/book/packing.ts';
import { BRASS, DOUBLE_REEDS, KEYED, SAXOPHONES, SINGLE_REEDS, SWABBED } from '#core/tables/instruments/kind-groups.ts';

const WITH_REEDS = [...SINGLE_REEDS, ...DOUBLE_REEDS, 'highland-pipes'] as const;

/**
 * Packing for the bench and fetching from it (practice book; what no mark is said of there is general). What to do about a
 * line that is not so is common practice.
 */
export const PACKING: Packing = {
  out: [
    {
      id: 'swabbed',
      text: 'Swabbed and dry.',
      amiss: 'Dry it first. What is shut in wet swells and grows, and the bench reads it wrong.',
      kinds: SWABBED,
      mark: 'practice',
    },
    {
      id: 'emptied',
      text: 'All water let out, outside wiped.',
      amiss: 'Let it out first: nobody opens the case for days.',
      kinds: BRASS,
      mark: 'general',
    },
    {
      id: 'reeds-out',
      text: 'Reeds and reed case taken out: they stay at home.',
      amiss: 'Take them out. Where a reed is what is wrong, pack it apart and write that on the ticket.',
      kinds: WITH_REEDS,
      mark: 'practice',
    },
    {
      id: 'strap-out',
      text: 'Strap or harness taken out.',
      amiss: 'Take it out: its hook knocks against the keys.',
      kinds: [...SAXOPHONES, 'bassoon'],
      mark: 'general',
    },
    {
      id: 'loose-out',
      text: 'Everything loose taken out: swab, grease, tools, paper.',
      amiss: 'Take it out: what moves in a case bends keys and dents tubes.',
      mark: 'practice',
    },
    {
      id: 'mouthpiece',
      text: 'Mouthpiece wrapped apart, its cap on.',
      amiss: 'Wrap it in a cloth of its own. If it has no cap, wrap its tip twice.',
      kinds: SINGLE_REEDS,
      mark: 'general',
    },
    {
      id: 'brass-mouthpiece',
      text: 'Mouthpiece in its own place, so that it cannot knock.',
      amiss:
        'Wrap it in a cloth and put it where it cannot move. Is it stuck? Leave it in, and write that on the ticket.',
      kinds: BRASS,
      mark: 'general',
    },
    {
      id: 'held-keys',
      text: 'Keys held with paper only where the maker says so.',
      amiss: 'Take the paper or the wedges out again: what presses a key shut for days marks its pad.',
      kinds: KEYED,
      mark: 'general',
    },
    {
      id: 'plug',
      text: 'End plug in.',
      amiss:
        'Without one, lay a folded cloth round the end so that the key guards cannot move. Write on the ticket that it is missing.',
      kinds: SAXOPHONES,
      mark: 'practice',
    },
    {
      id: 'bocal',
      text: 'Bocal in its slot.',
      amiss: 'Wrap it in a cloth and lay it where nothing presses on it. Never leave it on the instrument.',
      kinds: ['bassoon', 'cor-anglais'],
      mark: 'practice',
    },
    {
      id: 'in-place',
      text: 'Each part in its own place in the case.',
      amiss: 'Lay it in again. A part that fits only with force lies the wrong way round.',
      mark: 'practice',
    },
    {
      id: 'ticket',
      text: 'This ticket in the case, a copy kept.',
      amiss: 'Print it, or write what is wrong and your telephone number on a sheet of paper.',
      mark: 'practice',
    },
    {
      id: 'latched',
      text: 'Case latched. Rock it gently: nothing moves.',
      amiss:
        'Fill the gap with a soft cloth. If a latch fails, put a strap round the case and write that on the ticket.',
      mark: 'practice',
    },
    {
      id: 'ticket-outside',
      text: 'A ticket on the case as well, under the wrapping.',
      amiss: 'Put one there: a parcel that is opened on the way is known again by it.',
      sent: true,
      mark: 'general',
    },
    {
      id: 'photos',
      text: 'Photographed from all sides before it is wrapped.',
      amiss: 'Do it now: without pictures nobody can say what happened on the way.',
      sent: true,
      mark: 'general',
    },
    {
      id: 'box',
      text: 'Latches taped. A box 5 cm larger all round, filled softly, marked fragile.',
      amiss: 'Wait for a box that is large enough. A case alone is no parcel.',
      sent: true,
      mark: 'practice',
    },
    {
      id: 'insured',
      text: 'Insured for its worth, and tracked. Does your own policy cover the way?',
      amiss: 'Ask before you hand it over. What is not insured is not sent.',
      sent: true,
      mark: 'practice',
    },
    {
      id: 'weekend',
      text: 'Not sent over a weekend, in frost or in heat.',
      amiss: 'Wait for another day, and tell the bench.',
      sent: true,
      mark: 'practice',
    },
    {
      id: 'day',
      text: 'The bench knows the day it comes.',
      amiss: 'Call them before it leaves the house.',
      mark: 'general',
    },
  ],
  back: [
    {
      id: 'all-there',
      text: 'The case and all parts are there.',
      amiss: 'Ask for what is missing before you leave.',
      mark: 'general',
    },
    {
      id: 'line-by-line',
      text: 'The ticket line by line: is each thing done?',
      amiss: 'Ask what was left, and why. Say of the stay only what was done.',
      mark: 'general',
    },
    {
      id: 'marks',
      text: 'No new marks, inside the case and out.',
      amiss: 'Show them there, and take a picture.',
      mark: 'general',
    },
    {
      id: 'screws',
      text: 'Every screw is flush.',
      amiss: 'Show it there. Do not turn it yourself: some of them regulate.',
      kinds: KEYED,
      mark: 'general',
    },
    {
      id: 'joints',
      text: 'The joints go together by hand.',
      amiss: 'Force nothing. Show it there: a new cork may want a little off, and that is the bench’s work.',
      kinds: SWABBED,
      mark: 'general',
    },
    {
      id: 'keys',
      text: 'Every key moves and comes back.',
      amiss: 'Show it there, before you play it.',
      kinds: KEYED,
      mark: 'general',
    },
    {
      id: 'valves',
      text: 'Every valve and every slide moves.',
      amiss: 'Force nothing. Show it there.',
      kinds: BRASS,
      mark: 'general',
    },
    {
      id: 'play',
      text: 'Play it: low, high, soft.',
      amiss: 'Say which notes. Let them play it as well: then both know whether it is the instrument.',
      mark: 'general',
    },
    {
      id: 'complaint',
      text: 'Try what was wrong before.',
      amiss: 'Show it there. What is still wrong is not done.',
      mark: 'general',
    },
    {
      id: 'price',
      text: 'The price is as it was quoted.',
      amiss: 'Ask what came on top, and have it written on the bill.',
      mark: 'general',
    },
    { id: 'next', text: 'Ask when it should come next.', amiss: 'Ask by telephone.', mark: 'general' },
    {
      id: 'new-cork',
      text: 'New cork or pads: grease each time for two weeks, short plays first.',
      amiss: 'Say under Care that it has a new cork: then Ulu asks for the grease.',
      kinds: [...SINGLE_REEDS, ...DOUBLE_REEDS],
      mark: 'general',
    },
    {
      id: 'new-pads',
      text: 'New pads: short plays first, and blot them after each.',
      amiss: 'Ask whether they are to settle first, and for how long.',
      kinds: ['flute', 'piccolo'],
      mark: 'general',
    },
  ],
};
