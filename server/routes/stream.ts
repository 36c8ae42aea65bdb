import type { FastifyReply, FastifyRequest } from "fastify";

/** Answers server-sent events until whoever asked has gone. `listen` answers the function that ends it. */
export function stream<T>(
  request: FastifyRequest,
  reply: FastifyReply,
  listen: (tell: (now: T) => void) => () => void,
): (now: T) => void {
  reply.hijack();
  reply.raw.writeHead(200, {
    "content-type": "text/event-stream",
    "cache-control": "no-cache",
    connection: "keep-alive",
  });
  // It is open before there is anything to tell.
  reply.raw.flushHeaders();
  const tell = (now: T): void => void reply.raw.write(`data: ${JSON.stringify(now)}\n\n`);
  request.raw.on("close", listen(tell));
  return tell;
}
