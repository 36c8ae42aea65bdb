import { z } from "zod";
import {
  ArticleAnswer,
  AUTHOR_HEADER,
  BatchAnswer,
  BatchList,
  BatchPlan,
  ContactSheet,
  BrandList,
  BrandVersionList,
  CrateAnswer,
  CrateList,
  CrateWork,
  DeliveryAnswer,
  FontAnswer,
  DeliveryList,
  RebrandAnswer,
  SetAnswer,
  SetState,
  type SetRequest,
  ImportAnswer,
  LayoutChoices,
  OutdatedList,
  PaletteAnswer,
  PictureList,
  HistoryAnswer,
  PieceAnswer,
  PlacementImport,
  PlacementList,
  ProblemAnswer,
  StorageAnswer,
  TableAnswer,
  TemplateList,
  VariationList,
  type BatchRequest,
  ResultsAnswer,
  type ResultsTable,
  type VariationMark,
  type BinKind,
  type DeliveryRequest,
  type EditRequest,
  type LogoWish,
  type NewPiece,
  type NewTemplate,
  type PieceFiling,
  type PlacementFacts,
  type SpreadPinning,
} from "../../core/api";
import { Brand } from "../../core/brand";
import { PictureFile, type PictureNote } from "../../core/files";
import type { NewBrand } from "../../core/kit";
import type { Edit } from "../../core/edit";
import { Piece } from "../../core/piece";
import { Placement } from "../../core/placements";
import { Template } from "../../core/templates";
import { author } from "./author";
import { RequestError } from "./request-error";

async function ask<T extends z.ZodType>(
  schema: T,
  method: string,
  path: string,
  body?: unknown,
): Promise<z.infer<T>> {
  const isForm = body instanceof FormData;
  const isJson = body !== undefined && !isForm;
  const response = await fetch(path, {
    method,
    headers: {
      [AUTHOR_HEADER]: author(localStorage),
      ...(isJson ? { "content-type": "application/json" } : {}),
    },
    ...(body === undefined ? {} : { body: isForm ? body : JSON.stringify(body) }),
  }).catch(() => {
    throw new RequestError(
      "unreachable",
      "The server does not answer. What was saved is safe; what you type is saved when it is back.",
      0,
    );
  });
  const data: unknown = await response.json().catch(() => undefined);
  if (!response.ok) {
    const answer = ProblemAnswer.safeParse(data);
    throw answer.success
      ? new RequestError(answer.data.code, answer.data.message, response.status)
      : new RequestError(
          "unexpected",
          `The server answered ${response.status}. Try again.`,
          response.status,
        );
  }
  const read = schema.safeParse(data);
  if (read.success) return read.data;
  const message = "The server's answer is not understood here. Nothing is lost; reload the page.";
  throw new RequestError("answer-unknown", message, 0);
}

const get = <T extends z.ZodType>(schema: T, path: string) => ask(schema, "GET", path);
const post = <T extends z.ZodType>(schema: T, path: string, body?: unknown) =>
  ask(schema, "POST", path, body);

function form(file: File): FormData {
  const data = new FormData();
  data.append("file", file);
  return data;
}

const Nothing = z.object({});
const PATHS = {
  piece: "/api/pieces",
  crate: "/api/crates",
  picture: "/api/pictures",
  batch: "/api/batches",
  delivery: "/api/deliveries",
} satisfies Partial<Record<BinKind, string>>;

export const api = {
  crates: () => get(CrateList, "/api/crates"),
  brands: () => get(BrandList, "/api/brands"),
  placements: () => get(PlacementList, "/api/placements"),
  addPlacement: (facts: PlacementFacts) => post(Placement, "/api/placements", facts),
  changePlacement: (id: string, facts: PlacementFacts) =>
    ask(Placement, "PUT", `/api/placements/${id}`, facts),
  removePlacement: (id: string) => ask(PlacementList, "DELETE", `/api/placements/${id}`),
  importPlacements: (catalogue: unknown) =>
    post(PlacementImport, "/api/placements/import", catalogue),
  layouts: (piece: string, placement: string, slide: number) =>
    get(
      LayoutChoices,
      `/api/pieces/${piece}/layouts?placement=${encodeURIComponent(placement)}&slide=${slide}`,
    ),
  withLead: (piece: string, placement: string) =>
    get(Piece, `/api/pieces/${piece}/with-lead?placement=${encodeURIComponent(placement)}`),
  pictures: () => get(PictureList, "/api/pictures"),
  /** All that is known of one, tones included. */
  picture: (id: string) => get(PictureFile, `/api/pictures/${id}`),
  notePicture: (id: string, note: PictureNote) =>
    ask(PictureFile, "PUT", `/api/pictures/${id}`, note),
  crateWork: (id: string) => get(CrateWork, `/api/crates/${id}/work`),
  renameCrate: (id: string, name: string) => ask(CrateAnswer, "PUT", `/api/crates/${id}`, { name }),
  filePiece: (id: string, filing: PieceFiling) =>
    ask(PieceAnswer, "PUT", `/api/pieces/${id}/filing`, filing),
  addCrate: (name: string, brand: string) => post(CrateAnswer, "/api/crates", { name, brand }),
  templates: () => get(TemplateList, "/api/templates"),
  addTemplate: (wanted: NewTemplate) => post(Template, "/api/templates", wanted),
  changeTemplate: (id: string, wanted: NewTemplate) =>
    ask(Template, "PUT", `/api/templates/${id}`, wanted),
  importTemplate: (template: unknown) => post(Template, "/api/templates/import", template),
  removeTemplate: (id: string) => ask(TemplateList, "DELETE", `/api/templates/${id}`),
  beginPiece: (crate: string, wanted: NewPiece) =>
    post(PieceAnswer, `/api/crates/${crate}/pieces`, wanted),
  storage: () => get(StorageAnswer, "/api/storage"),
  /** Puts something in the bin, and takes it out again. */
  remove: (kind: keyof typeof PATHS, id: string) => ask(Nothing, "DELETE", `${PATHS[kind]}/${id}`),
  bringBack: (kind: BinKind, id: string) => post(Nothing, `/api/bin/${kind}/${id}/restore`),
  clearRenditions: () => ask(Nothing, "DELETE", "/api/renditions"),
  leaveBackup: () => ask(Nothing, "DELETE", "/api/restore"),
  restoreBackup: (file: File) => post(Nothing, "/api/restore", form(file)),
  importZip: (file: File) => post(ImportAnswer, "/api/imports", form(file)),
  addPicture: (file: File, brand?: string) =>
    post(
      PictureFile,
      `/api/pictures${brand ? `?brand=${encodeURIComponent(brand)}` : ""}`,
      form(file),
    ),
  addBrand: (brand: NewBrand) => post(Brand, "/api/brands", brand),
  changeBrand: (brand: Brand, version: number, key?: string) =>
    ask(Brand, "PUT", `/api/brands/${brand.id}`, { brand, version, key }),
  pinSpread: (id: string, pinning: SpreadPinning) =>
    ask(Brand, "PUT", `/api/brands/${id}/spreads`, pinning),
  lockBrand: (id: string, to: "lock" | "unlock", key: string) =>
    post(z.object({ locked: z.boolean() }), `/api/brands/${id}/${to}`, { key }),
  removeBrand: (id: string, instead?: string, key?: string) =>
    ask(RebrandAnswer, "DELETE", `/api/brands/${id}`, { instead, key }),
  outdated: (brand: string) => get(OutdatedList, `/api/brands/${brand}/outdated`),
  logoVersion: (picture: string, wish: LogoWish) =>
    post(PictureFile, `/api/pictures/${picture}/logo`, wish),
  rebrandCrate: (crate: string, brand: string) =>
    post(RebrandAnswer, `/api/crates/${crate}/brand`, { brand }),
  laySet: (crate: string, wanted: SetRequest) =>
    post(SetAnswer, `/api/crates/${crate}/set`, wanted),
  setOf: (piece: string) => get(SetState, `/api/pieces/${piece}/set`),
  brandVersions: (id: string) => get(BrandVersionList, `/api/brands/${id}/versions`),
  proposeColours: (file: File) => post(PaletteAnswer, "/api/palettes", form(file)),
  addFont: (file: File) => post(FontAnswer, "/api/fonts", form(file)),
  piece: (id: string) => get(PieceAnswer, `/api/pieces/${id}`),
  edit: (id: string, edit: Edit, options: Omit<z.input<typeof EditRequest>, "edit">) =>
    post(PieceAnswer, `/api/pieces/${id}/edits`, { edit, ...options }),
  history: (id: string) => get(HistoryAnswer, `/api/pieces/${id}/history`),
  undo: (id: string) => post(PieceAnswer, `/api/pieces/${id}/undo`),
  redo: (id: string) => post(PieceAnswer, `/api/pieces/${id}/redo`),
  tableFile: (file: File) => post(TableAnswer, "/api/tables", form(file)),
  articleFile: (file: File, slides: number) =>
    post(ArticleAnswer, `/api/articles?slides=${slides}`, form(file)),
  articleText: (text: string, slides: number) =>
    post(ArticleAnswer, `/api/articles/text?slides=${slides}`, { text }),
  tableText: (text: string) => post(TableAnswer, "/api/tables/text", { text }),
  planBatch: (piece: string, request: z.input<typeof BatchRequest>) =>
    post(BatchPlan, `/api/pieces/${piece}/batches/plan`, request),
  startBatch: (piece: string, request: z.input<typeof BatchRequest>) =>
    post(BatchAnswer, `/api/pieces/${piece}/batches`, request),
  batches: (piece: string) => get(BatchList, `/api/pieces/${piece}/batches`),
  batch: (id: string) => get(BatchAnswer, `/api/batches/${id}`),
  /** Stops a batch for a while or for good, goes on with it, or makes again what would come out otherwise now. */
  turnBatch: (id: string, to: "pause" | "cancel" | "resume" | "again") =>
    post(BatchAnswer, `/api/batches/${id}/${to}`),
  variations: (id: string, from: number, to: number) =>
    get(VariationList, `/api/batches/${id}/variations?from=${from}&to=${to}`),
  contactSheet: (id: string, placement?: string) =>
    get(
      ContactSheet,
      `/api/batches/${id}/sheet${placement ? `?placement=${encodeURIComponent(placement)}` : ""}`,
    ),
  markVariation: (id: string, variation: number, mark: VariationMark) =>
    ask(Nothing, "PUT", `/api/batches/${id}/variations/${variation}/mark`, mark),
  variationAsPiece: (id: string, variation: number) =>
    post(PieceAnswer, `/api/batches/${id}/variations/${variation}/piece`),
  results: (id: string) => get(ResultsAnswer, `/api/batches/${id}/results`),
  readResults: (id: string, table: ResultsTable) =>
    post(ResultsAnswer, `/api/batches/${id}/results`, table),
  removeResults: (id: string) => ask(Nothing, "DELETE", `/api/batches/${id}/results`),
  deliver: (piece: string, request: z.input<typeof DeliveryRequest>) =>
    post(DeliveryAnswer, `/api/pieces/${piece}/deliveries`, request),
  /** Stops a delivery, or makes it anew. */
  turnDelivery: (id: string, to: "cancel" | "resume") =>
    post(DeliveryAnswer, `/api/deliveries/${id}/${to}`),
  deliveries: (piece: string) => get(DeliveryList, `/api/pieces/${piece}/deliveries`),
};
