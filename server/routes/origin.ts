import type { FastifyReply, FastifyRequest } from "fastify";
import { problem } from "../../core/problem";

const OWN_HOST = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;

/**
 * Another site's page must not reach this server through the visitor's browser: neither by a
 * request of its own (Origin), nor by a name of its own that leads here (Host).
 */
export async function refuseStrangers(
  request: FastifyRequest,
  _reply: FastifyReply,
): Promise<void> {
  const { host, origin } = request.headers;
  if (!host || !OWN_HOST.test(host)) throw problem("origin-refused");
  if (origin !== undefined && origin !== `http://${host}`) throw problem("origin-refused");
}
