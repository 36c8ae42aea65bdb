import { z } from "zod";
import type { Services } from "../services/services";
import type { Routes } from "./typed";
import { backUp } from "../backup/backup";
import { stageBackup, unstage } from "../backup/restore";
import { problems } from "./params";
import { withUpload } from "./upload";

/** A backup holds all that was ever made. */
const MOST_BACKUP = 64 * 1024 * 1024 * 1024;

export function addBackupRoutes(routes: Routes, { context }: Services): void {
  routes.get(
    "/api/backup",
    { schema: { summary: "All that is stored and made, as one zip" } },
    async (_request, reply) => {
      const name = `zest-crate-${context.now().toISOString().slice(0, 10)}.zip`;
      return reply
        .header("content-disposition", `attachment; filename="${name}"`)
        .type("application/zip")
        .send(await backUp(context.folder, context.now()));
    },
  );
  routes.post(
    "/api/restore",
    {
      schema: {
        summary: "Take a backup in; it takes the place of all there is at the next start",
        consumes: ["multipart/form-data"],
        response: { 200: z.object({ restart: z.literal(true) }), ...problems },
      },
    },
    (request) =>
      withUpload(
        request,
        context.folder,
        async ({ path, name }) => {
          await stageBackup(path, context.folder, name, context.store.migrations);
          return { restart: true as const };
        },
        MOST_BACKUP,
      ),
  );
  routes.delete(
    "/api/restore",
    {
      schema: {
        summary: "Leave everything as it is at the next start, though a backup was taken in",
        response: { 200: z.object({}) },
      },
    },
    async () => {
      await unstage(context.folder);
      return {};
    },
  );
}
