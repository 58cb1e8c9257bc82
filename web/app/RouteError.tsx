import { Problem } from '#web/ui/Problem.tsx';

/** A page that broke: says so, keeps the frame's colours, offers the way back. */
export function RouteError() {
  return (
    <Problem
      title="This page broke"
      text="Something in Ulu went wrong while drawing this page. What you logged is kept."
      to="/now"
      action="Go to Now"
    />
  );
}
