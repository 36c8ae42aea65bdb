import { expose } from "comlink";
import type { OfferRequest, Painter, ShowRequest } from "./protocol";

// Imported lazily: HarfBuzz starts with a top-level await, and messages sent before it is over would be lost.
const studio = import("./studio").then(({ BrowserStudio }) => new BrowserStudio());

const painter: Painter = {
  attach: (key, canvas) => void studio.then((ready) => ready.attach(key, canvas)),
  detach: (key) => void studio.then((ready) => ready.detach(key)),
  show: async (request: ShowRequest) => (await studio).show(request),
  offer: async (request: OfferRequest) => (await studio).offer(request),
  complete: async () => (await studio).complete(),
};

expose(painter);
