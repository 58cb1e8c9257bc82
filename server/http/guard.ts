import type { RequestHandler } from 'express';
import { sendFailure } from '#server/http/problem.ts';

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** `name:port` without the port; IPv6 keeps its brackets. */
const hostName = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/**
 * Refuses requests that name another host or come from another site's page: on one's own machine that is what keeps a
 * web page from reading the record through the browser (DNS rebinding, cross-site posts).
 *
 * @param boundHost the address the server was told to listen on, allowed besides loopback
 */
export function guardHost(boundHost: string): RequestHandler {
  const allowed = new Set([...LOOPBACK, boundHost.toLowerCase()]);
  return (req, res, next) => {
    const host = req.headers.host ?? '';
    if (!allowed.has(hostName(host)))
      return sendFailure(res, { code: 'forbidden', field: 'Host', refusal: { code: 'other-host' } });
    const { origin } = req.headers;
    if (origin !== undefined && origin !== `http://${host}`)
      return sendFailure(res, { code: 'forbidden', field: 'Origin', refusal: { code: 'other-site' } });
    return next();
  };
}
