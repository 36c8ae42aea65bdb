import { NewTemplate, TemplateList } from "../../core/api";
import { readDocument } from "../../core/reading";
import { Template } from "../../core/templates";
import type { Services } from "../services/services";
import type { Routes } from "./typed";
import { Id, problems } from "./params";

export function addTemplateRoutes(routes: Routes, { templates }: Services): void {
  routes.get(
    "/api/templates",
    { schema: { summary: "What can be begun with", response: { 200: TemplateList } } },
    () => templates.list(),
  );
  routes.post(
    "/api/templates",
    {
      schema: {
        summary: "Save a piece as a template of the house",
        body: NewTemplate,
        response: { 200: Template, ...problems },
      },
    },
    ({ body }) => templates.add(body),
  );
  routes.post(
    "/api/templates/import",
    {
      schema: {
        summary: "Take in a template that was exported",
        response: { 200: Template, ...problems },
      },
    },
    ({ body }) => templates.take(readDocument(Template, body, "The template")),
  );
  routes.get(
    "/api/templates/:id/file",
    { schema: { summary: "A template as a file", params: Id } },
    async ({ params }, reply) => {
      const template = await templates.get(params.id);
      const name = encodeURIComponent(`${template.name}.template.json`);
      return reply
        .header("content-disposition", `attachment; filename="${name}"`)
        .type("application/json")
        .send(`${JSON.stringify(template, null, 2)}\n`);
    },
  );
  routes.put(
    "/api/templates/:id",
    {
      schema: {
        summary: "Make a template of the house what a piece is now; pieces that began with it stay",
        params: Id,
        body: NewTemplate,
        response: { 200: Template, ...problems },
      },
    },
    ({ params, body }) => templates.change(params.id, body),
  );
  routes.delete(
    "/api/templates/:id",
    {
      schema: {
        summary: "Delete a template of the house; pieces that began with it stay",
        params: Id,
        response: { 200: TemplateList, ...problems },
      },
    },
    ({ params }) => templates.remove(params.id),
  );
}
