import { ListSubheader, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import type { CareClockView, InstrumentPage } from '#contract/care.ts';
import type { CareActions } from '#web/features/care/care.actions.ts';
import { StripHead } from '#web/ui/StripHead.tsx';
import { pinsOf } from '#web/ui/strip-pins.ts';

type StripWithSignsProps = { readonly page: InstrumentPage; readonly actions: CareActions };

/** Once it has popped, a line may still be seen: of several signs the others stay to be tapped. */
const mayBeNoticed = ({ gauge, noticed, noticedSign, signs }: CareClockView, sign: string): boolean =>
  gauge.state === 'as-seen' || (noticed && signs.length > 1 && noticedSign !== sign);

/** The bore strip whose parts can be tapped where something is seen. */
export function StripWithSigns({ page: { instrument, strip, clocks }, actions }: StripWithSignsProps) {
  const [tapped, setTapped] = useState<{ readonly part: CareClockView['part']; readonly at: Element } | null>(null);
  const name = strip.find(({ part }) => part === tapped?.part)?.name ?? '';
  const signs = clocks.flatMap((clock) =>
    tapped && clock.seenOn.includes(tapped.part)
      ? clock.signs.filter(({ sign }) => mayBeNoticed(clock, sign)).map((sign) => ({ clock, sign }))
      : [],
  );
  const close = () => setTapped(null);
  return (
    <>
      <StripHead
        title={instrument.name}
        subtitle={instrument.kindName}
        segments={strip}
        pins={pinsOf(clocks)}
        hint="See something? Tap it there."
        onPart={(part, at) => setTapped({ part, at })}
      />
      <Menu open={tapped !== null} anchorEl={tapped?.at ?? null} onClose={close}>
        <ListSubheader>
          {signs.length > 0 ? `${name}: what do you notice?` : `${name}: nothing to look out for`}
        </ListSubheader>
        {signs.map(({ clock, sign }) => (
          <MenuItem
            key={`${clock.itemId} ${sign.sign}`}
            disabled={actions.busy}
            onClick={() => {
              if (tapped) actions.seen(clock, sign, tapped.part);
              close();
            }}
          >
            {sign.words}
          </MenuItem>
        ))}
        <MenuItem {...{ component: Link, to: `/faults/${instrument.id}?part=${tapped?.part ?? ''}` }}>
          {signs.length > 0 ? 'Something else is wrong here' : 'Something is wrong here'}
        </MenuItem>
      </Menu>
    </>
  );
}
