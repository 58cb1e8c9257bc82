import { cover, lay, unhook } from '#core/book/deed.ts';
import type { PageUse, StepSaid } from '#core/book/page.ts';
import { wind } from '#core/tables/care/wind.ts';

/** How each kind is set aside until it is played, where several are made ready (common practice, no source). */
const aside = (says: StepSaid): PageUse => ({ page: wind, says: { 'wind/set-aside': says } });

const STAND = 'Put the stand where nobody passes. Without one, leave it in its case until its turn comes.';
const DRY_REED = 'Its reed stays dry in its case: wet it and put it on when the turn comes.';

export const windCapped = aside({
  how: `The cap stays on. ${STAND}`,
  does: [cover('mouthpiece'), lay('everything')],
});
export const windOfSaxophone = aside({
  heading: 'Unhook it and set it on its stand',
  how: `The cap stays on until you play it. ${STAND}`,
  does: [cover('mouthpiece'), unhook('body'), lay('everything')],
});
export const windOfDoubleReed = aside({ how: `${DRY_REED} ${STAND}` });
export const windOfBassoon = aside({
  heading: 'Unhook it and set it on its stand',
  how: `${DRY_REED} ${STAND}`,
  does: [unhook('boot'), lay('everything')],
});
export const windShouldered = aside({
  heading: 'Lift it off and set it on its stand',
  how: `Two of you lift it if it is heavy. ${STAND}`,
});
export const windOfTrombone = aside({ heading: 'Lock the slide and set it on its stand', how: STAND });
