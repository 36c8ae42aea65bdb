import fastifyStatic from "@fastify/static";
import { problem } from "../../core/problem";
import type { App } from "./typed";

/** The built interface; every address that is not a file or an API is a view of the one page. */
export async function serveWeb(app: App, folder: string): Promise<void> {
  await app.register(fastifyStatic, {
    root: folder,
    setHeaders: (reply, path) => {
      const kept = path.includes("/assets/") ? "public, max-age=31536000, immutable" : "no-cache";
      reply.header("cache-control", kept);
    },
  });
  app.setNotFoundHandler((request, reply) => {
    if (request.method !== "GET" || request.url.startsWith("/api/")) {
      throw problem("not-found", { what: "address", id: request.url });
    }
    return reply.header("cache-control", "no-cache").sendFile("index.html");
  });
}
