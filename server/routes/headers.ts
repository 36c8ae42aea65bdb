import helmet from "@fastify/helmet";
import type { App } from "./typed";

const SELF = "'self'";
const NONE = "'none'";

/**
 * What a browser may do with what comes from here: load from here only, run no script but the application's own, show no
 * page of it inside another, and guess no type.
 */
export async function addHeaders(app: App): Promise<void> {
  await app.register(helmet, {
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: [SELF],
        // Words are shaped by a WebAssembly module.
        scriptSrc: [SELF, "'wasm-unsafe-eval'"],
        // The controls' package writes its styles into the page.
        styleSrc: [SELF, "'unsafe-inline'"],
        imgSrc: [SELF, "data:", "blob:"],
        fontSrc: [SELF, "data:"],
        workerSrc: [SELF, "blob:"],
        objectSrc: [NONE],
        baseUri: [NONE],
        formAction: [SELF],
        frameAncestors: [NONE],
      },
    },
    referrerPolicy: { policy: "no-referrer" },
    xFrameOptions: { action: "deny" },
    // It is served to this machine, without encryption.
    strictTransportSecurity: false,
  });
}
