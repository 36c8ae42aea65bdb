import { eq } from "drizzle-orm";
import { freeId } from "../../core/id";
import { freeTitle } from "../../core/piece";
import { problem } from "../../core/problem";
import type { Transaction } from "../store/database";
import { brands, brandVersions, putAway, templates, type PutAway } from "../store/tables";

/**
 * Kits and templates, few and small, are asked for at every turn: what is deleted of them leaves its table whole, and
 * is kept in one of its own, so that nothing has to look away from it.
 */
type PutAwayKit = Extract<PutAway, { kind: "brand" }>;
type PutAwayTemplate = Extract<PutAway, { kind: "template" }>;

/** Takes a kit out with all that it was before. */
export async function putAwayKit(tx: Transaction, id: string, deleted: string): Promise<void> {
  const [row] = await tx.select().from(brands).where(eq(brands.id, id));
  if (!row) throw problem("not-found", { what: "brand", id });
  const versions = await tx.select().from(brandVersions).where(eq(brandVersions.brand, id));
  const kept: PutAwayKit = { kind: "brand", row, versions };
  await tx.insert(putAway).values({ id, name: row.document.name, kept, deleted });
  await tx.delete(brandVersions).where(eq(brandVersions.brand, id));
  await tx.delete(brands).where(eq(brands.id, id));
}

export async function putAwayTemplate(tx: Transaction, id: string, deleted: string): Promise<void> {
  const [row] = await tx.select().from(templates).where(eq(templates.id, id));
  if (!row) throw problem("not-found", { what: "template", id });
  const kept: PutAwayTemplate = { kind: "template", row };
  await tx.insert(putAway).values({ id, name: row.document.name, kept, deleted });
  await tx.delete(templates).where(eq(templates.id, id));
}

/** Brings the last of that id back; where its id or name has gone to another since, under one that is free. */
export async function takeBack(tx: Transaction, kind: PutAway["kind"], id: string): Promise<void> {
  const rows = await tx.select().from(putAway).where(eq(putAway.id, id));
  const found = rows.filter(({ kept }) => kept.kind === kind).at(-1);
  if (!found) throw problem("not-found", { what: `${kind} in the bin`, id });
  if (found.kept.kind === "brand") await takeKitBack(tx, found.kept);
  else await takeTemplateBack(tx, found.kept);
  await tx.delete(putAway).where(eq(putAway.number, found.number));
}

async function takeKitBack(tx: Transaction, { row, versions }: PutAwayKit): Promise<void> {
  const there = await tx.select().from(brands);
  const id = freeId(row.id, new Set(there.map((one) => one.id)), "brand");
  const name = freeTitle(
    row.document.name,
    there.map((one) => one.document.name),
  );
  await tx.insert(brands).values({ ...row, id, document: { ...row.document, id, name } });
  for (const version of versions)
    await tx
      .insert(brandVersions)
      .values({ ...version, brand: id, document: { ...version.document, id } });
}

async function takeTemplateBack(tx: Transaction, { row }: PutAwayTemplate): Promise<void> {
  const there = await tx.select().from(templates);
  const name = freeTitle(
    row.document.name,
    there.map((one) => one.document.name),
  );
  await tx.insert(templates).values({ ...row, document: { ...row.document, name } });
}
