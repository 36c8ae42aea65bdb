import { z } from "zod";
import { BinKind, ProblemAnswer, StorageAnswer } from "../../core/api";
import type { Services } from "../services/services";
import type { Routes } from "./typed";
import type { MarkedKind } from "../services/bin";
import { Id, problems } from "./params";

const Done = z.object({});
/** The addresses of what can be deleted; kits and templates are at theirs, where more is asked. */
const PATHS: Record<MarkedKind, string> = {
  piece: "/api/pieces/:id",
  crate: "/api/crates/:id",
  picture: "/api/pictures/:id",
  batch: "/api/batches/:id",
  delivery: "/api/deliveries/:id",
};

/** What takes room, and what was deleted. */
export function addStorageRoutes(routes: Routes, { storage, bin }: Services): void {
  routes.get(
    "/api/storage",
    { schema: { summary: "Disk use by kind, and the bin", response: { 200: StorageAnswer } } },
    () => storage.look(),
  );
  for (const [kind, path] of Object.entries(PATHS) as [MarkedKind, string][])
    routes.delete(
      path,
      {
        schema: {
          summary: `Put a ${kind} in the bin; it can be brought back for 30 days`,
          params: Id,
          response: { 200: Done, ...problems, 409: ProblemAnswer },
        },
      },
      async ({ params }) => {
        await bin.put(kind, params.id);
        return {};
      },
    );
  routes.post(
    "/api/bin/:kind/:id/restore",
    {
      schema: {
        summary: "Bring something back from the bin",
        params: Id.extend({ kind: BinKind }),
        response: { 200: Done, ...problems },
      },
    },
    async ({ params }) => {
      await bin.restore(params.kind, params.id);
      return {};
    },
  );
  routes.delete(
    "/api/renditions",
    { schema: { summary: "Delete scaled copies; they are made anew", response: { 200: Done } } },
    async () => {
      await bin.clearRenditions();
      return {};
    },
  );
}
