import { asc, eq } from "drizzle-orm";
import type { NewTemplate, TemplateList } from "../../core/api";
import { freeTitle } from "../../core/piece";
import { problem } from "../../core/problem";
import type { Template } from "../../core/templates";
import { carousels, shippedTemplates } from "../../core/shipped";
import { designOf } from "../../core/templates";
import { templates } from "../store/tables";
import type { Pieces } from "./pieces";
import { putAwayTemplate } from "./put-away";
import type { ServerContext } from "../context";

/** What can be begun with: the templates that ship with the program and those of the house. */
export class Templates {
  constructor(
    private readonly context: ServerContext,
    private readonly pieces: Pieces,
  ) {}

  /** The house's own first, newest first. */
  async list(): Promise<TemplateList> {
    const own = (await this.own()).reverse();
    return {
      templates: [...own, ...shippedTemplates, ...carousels],
      house: own.map(({ id }) => id),
    };
  }

  async get(id: string): Promise<Template> {
    const { templates: all } = await this.list();
    const found = all.find((template) => template.id === id);
    if (!found) throw problem("not-found", { what: "template", id });
    return found;
  }

  /** A piece as a template of the house. The piece is not touched. */
  async add({ piece: id, ...about }: NewTemplate): Promise<Template> {
    const { piece } = await this.pieces.get(id);
    const format = { format: "zestcrate/template", version: 1 } as const;
    return this.put({ ...format, ...about, id: "", occasions: [], design: designOf(piece) });
  }

  /** A template of the house becomes what a piece is now. Pieces that began with it stay as they are. */
  async change(id: string, { piece: from, ...about }: NewTemplate): Promise<Template> {
    const before = await this.ofTheHouse(id);
    const { piece } = await this.pieces.get(from);
    const { note: _note, ...rest } = before;
    const document = { ...rest, ...about, design: designOf(piece) };
    await this.context.store.write((tx) =>
      tx.update(templates).set({ document }).where(eq(templates.id, id)),
    );
    return document;
  }

  /** A template that was exported elsewhere; it comes in as a new one. */
  async take(template: Template): Promise<Template> {
    return this.put(template);
  }

  /** Puts a template in the bin. */
  async remove(id: string): Promise<TemplateList> {
    await this.ofTheHouse(id);
    const deleted = this.context.now().toISOString();
    await this.context.store.write((tx) => putAwayTemplate(tx, id, deleted));
    return this.list();
  }

  /** Throws `not-found`, also for one that ships with the program: those are never changed. */
  private async ofTheHouse(id: string): Promise<Template> {
    const found = (await this.own()).find((template) => template.id === id);
    if (!found) throw problem("not-found", { what: "template of the house", id });
    return found;
  }

  private async own(): Promise<Template[]> {
    const { read } = this.context.store;
    const rows = await read.select().from(templates).orderBy(asc(templates.created));
    return rows.map((row) => row.document);
  }

  private async put(template: Template): Promise<Template> {
    const taken = (await this.own()).map(({ name }) => name);
    const name = freeTitle(template.name, taken);
    const document = { ...template, id: `house-${this.context.newId()}`, name };
    const created = this.context.now().toISOString();
    await this.context.store.write((tx) =>
      tx.insert(templates).values({ id: document.id, document, created }),
    );
    return document;
  }
}
