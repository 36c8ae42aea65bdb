import { z } from "zod";
import { Manifest } from "../../core/api";
import { Brand } from "../../core/brand";
import { Crate, Piece } from "../../core/piece";
import { Catalogue } from "../../core/placements";
import { Template } from "../../core/templates";
import type { Routes } from "./typed";

const documents = {
  piece: Piece,
  brand: Brand,
  crate: Crate,
  manifest: Manifest,
  placements: Catalogue,
  template: Template,
};
const Params = z.object({
  name: z.enum(["piece", "brand", "crate", "manifest", "placements", "template"]),
});

/** The open documents as JSON Schema, made from the one definition that the program itself reads with. */
export function addSchemaRoutes(routes: Routes): void {
  routes.get(
    "/api/schemas/:name",
    { schema: { summary: "A document's JSON Schema", params: Params } },
    ({ params }) => z.toJSONSchema(documents[params.name], { io: "input" }),
  );
}
