import type { FastifyRequest } from "fastify";
import { wellFormed } from "../../core/reading";

/** JSON comes in with whole characters only, before it is held against its schema. */
export async function mendBody(request: FastifyRequest): Promise<void> {
  if (typeof request.body === "object" && request.body !== null && !isForm(request))
    request.body = wellFormed(request.body);
}

const isForm = ({ headers }: FastifyRequest): boolean =>
  headers["content-type"]?.startsWith("multipart/") ?? false;
