import type { Request } from 'express';
import { DEVICE_HEADER, LONGEST_DEVICE_NAME } from '#contract/device.ts';
import { CallerLeft } from '#server/failure.ts';
import { AT_THIS_MACHINE, type Caller } from '#server/caller.ts';

/** What somebody asks with: the key the device gave itself, or the address it has. */
export function deviceOf(req: Request): string {
  const named = req.get(DEVICE_HEADER) ?? '';
  return named === '' || named.length > LONGEST_DEVICE_NAME ? (req.socket.remoteAddress ?? '') : named;
}

/** Aborts once the connection is gone before the answer was. */
function leaving({ res }: Request): AbortSignal {
  const left = new AbortController();
  res?.once('close', () => {
    if (!res.writableFinished) left.abort(new CallerLeft('whoever asked has left'));
  });
  return left.signal;
}

/** Who asks. On one's own machine nobody has to say so. */
export const callerOf = (req: Request): Caller => ({ ...AT_THIS_MACHINE, device: deviceOf(req), left: leaving(req) });
