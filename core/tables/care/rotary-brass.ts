import { oil } from '#core/book/deed.ts';
import type { Page } from '#core/book/page.ts';
import { estimate, oneVoice, practice } from '#core/explain/explained.ts';

/** Rotary valves: horn, rotary tuba, the trombone’s attachment. Minutes per step are estimates. */
export const rotaryBrass: Page = {
  id: 'rotary-brass',
  items: [
    {
      id: 'rotary-brass/rotor-oil',
      name: 'Oil the rotors',
      part: 'the-slides',
      trigger: { kind: 'clock', limbs: { days: oneVoice(7) }, words: 'weekly' },
      severity: 'lasting',
      why: 'Dry bearings wear and corrode, played or not. A rotor that sets is work for the bench.',
      firstNote: 'always',
      mark: 'one-voice',
    },
    {
      id: 'rotary-brass/rotors-bench',
      name: 'Rotors out and chemical clean',
      part: 'the-slides',
      trigger: { kind: 'clock', limbs: { months: practice(12) }, words: 'yearly' },
      severity: 'function',
      why: 'Rotors never come out at home. The bench takes them out once a year.',
      mark: 'practice',
      place: 'bench',
    },
  ],
  steps: [
    {
      id: 'rotary-brass/oil-bearings',
      item: 'rotary-brass/rotor-oil',
      part: 'the-slides',
      heading: 'Oil each rotor bearing, 2–3 drops',
      how: 'Below, oil at the stop arm; above, on the centre under the cap. Where a screw bears an oil mark, use the hole under it. Caps and screws go back on.',
      minutes: 1,
      repeats: { kind: 'fixed', count: estimate(3), noun: 'rotor' },
      after: [],
      reaches: ['wiped'],
      needs: ['water-out', 'washed', 'bore-dry', 'slides-greased'],
      harm: 'the bearings get noisy and wear',
      cautions: ['The rotors stay in.'],
      supplies: ['rotor oil'],
      uses: [{ agent: 'rotor-oil', on: 'rotors' }],
      does: [oil('rotors')],
      mark: 'one-voice',
    },
  ],
  neverDos: [
    {
      id: 'rotary-brass/rotors-out',
      text: 'Take rotors out at home.',
      why: 'It is work for the bench, once a year.',
      mark: 'practice',
    },
    {
      id: 'rotary-brass/pressure',
      text: 'High pressure through the valves.',
      why: 'Use low pressure, leave the rotors in place, and oil them afterwards.',
      mark: 'practice',
    },
  ],
};
