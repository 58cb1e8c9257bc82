import type { Deed, Thing, Verb } from '#core/book/deed.ts';
import type { Step } from '#core/book/step.ts';

/** What goes to the lips. */
const FOR_THE_LIPS: readonly Thing[] = ['reed', 'reeds', 'mouthpiece', 'lip-plate', 'rim'];
/** It is touched with bare or wet fingers. */
const TOUCHES: readonly Verb[] = ['soak', 'lift-out', 'rinse', 'wash', 'brush', 'wipe', 'dry', 'lay'];
/** Oil or grease comes to the fingers. */
const SOILS: readonly Verb[] = ['oil', 'oil-in-turn', 'grease', 'grease-in-turn'];

const thingsOf = (deed: Deed): readonly Thing[] => ('through' in deed ? deed.through : [deed.thing]);

/** Does this deed touch what goes to the lips? */
export const isForTheLips = (deed: Deed): boolean =>
  TOUCHES.includes(deed.do) && thingsOf(deed).some((thing) => FOR_THE_LIPS.includes(thing));

/** Does this deed leave oil or grease on the fingers? */
export const soilsFingers = (deed: Deed): boolean => SOILS.includes(deed.do);

export const touchesForTheLips = ({ does }: Pick<Step, 'does'>): boolean => does.some(isForTheLips);
export const oilsOrGreases = ({ does }: Pick<Step, 'does'>): boolean => does.some(soilsFingers);
