// _prof.ts
import { readFileSync } from "node:fs";

// core/piece/piece.ts
import { z as z4 } from "zod";

// core/colour/colour.ts
import { clampRgb, converter, interpolate, parse, wcagLuminance } from "culori";
import { z } from "zod";
var Hex = z.string().regex(/^#[0-9a-fA-F]{6}$/, "a colour is written as # and six hex digits, like #123A3F");
var toRgb = converter("rgb");
function rgb(hex) {
  const colour = parse(hex);
  if (!colour) throw new RangeError(`${hex} is not a colour`);
  return clampRgb(toRgb(colour));
}
function luminance(hex) {
  let value = luminances.get(hex);
  if (value === void 0) luminances.set(hex, value = wcagLuminance(hex));
  return value;
}
var luminances = /* @__PURE__ */ new Map();
var contrast = (a, b) => luminanceContrast(luminance(a), luminance(b));
var luminanceContrast = (a, b) => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
var CONTRAST_TEXT = 4.5;
var CONTRAST_LARGE = 3;

// core/colour/spread.ts
import { z as z2 } from "zod";
var ColourRole = z2.enum([
  "backdrop",
  "headline",
  "support",
  "detail",
  "action",
  "on-action",
  "ornament",
  "plate"
]);
var Spread = z2.partialRecord(ColourRole, z2.string());
var MOST_COLOURS = 4;
function spreads(colours) {
  const found = [];
  for (const backdrop of colours) {
    const readable2 = colours.filter((c) => contrast(c.hex, backdrop.hex) >= CONTRAST_TEXT);
    for (const words of readable2) {
      for (const action of colours.filter((c) => c !== backdrop)) {
        const onAction = bestOn(action, [backdrop, words, ...colours]);
        if (!onAction) continue;
        const detail = readable2.includes(action) ? action : words;
        const ornament = ornamentFor(colours, backdrop, action);
        const score = scoreOf({ backdrop, words, action, onAction, ornament });
        found.push({
          score,
          spread: {
            backdrop: backdrop.id,
            headline: words.id,
            support: words.id,
            detail: detail.id,
            action: action.id,
            "on-action": onAction.id,
            ornament: ornament.id,
            plate: action.id
          }
        });
      }
    }
  }
  return found.sort((a, b) => b.score - a.score).map((entry) => entry.spread);
}
var bestOn = (ground, candidates) => candidates.find((c) => contrast(c.hex, ground.hex) >= CONTRAST_TEXT);
function ornamentFor(colours, backdrop, action) {
  const rest = colours.filter((c) => c !== backdrop && c !== action);
  const calm = rest.map((c) => ({ c, ratio: contrast(c.hex, backdrop.hex) })).filter(({ ratio }) => ratio >= 1.2).sort((a, b) => a.ratio - b.ratio);
  return calm[0]?.c ?? action;
}
function scoreOf({ backdrop, words, action, onAction, ornament }) {
  const used = (/* @__PURE__ */ new Set([backdrop, words, action, onAction, ornament])).size;
  const ground = { primary: 3, paper: 2.5, secondary: 1.5 }[backdrop.role] ?? 0.5;
  const press = { accent: 2, primary: 1 }[action.role] ?? 0;
  const lettering = { paper: 1, ink: 1, primary: 1 }[words.role] ?? 0;
  const stands = contrast(action.hex, backdrop.hex) >= CONTRAST_LARGE ? 1.5 : 0;
  return ground + press + lettering + stands - 2 * Math.max(0, used - MOST_COLOURS);
}

// core/files.ts
import { z as z3 } from "zod";
var FileId = z3.string().regex(/^[0-9a-f]{64}$/, "a file is named by its SHA-256 in hex");
var Tones = z3.object({
  columns: z3.number().int().positive(),
  rows: z3.number().int().positive(),
  grey: z3.array(z3.number()),
  detail: z3.array(z3.number())
});
var PictureFile = z3.object({
  id: FileId,
  name: z3.string(),
  mime: z3.string(),
  width: z3.number().int().positive(),
  height: z3.number().int().positive(),
  vector: z3.boolean(),
  tones: Tones
});

// core/piece/piece.ts
var LIMITS = { text: 2e3, title: 120, nodes: 200, sizes: 60 };
var SlotName = z4.string().regex(/^[a-z][a-z0-9-]{0,39}$/, "a slot is named in lower-case letters, digits and hyphens");
var Focus = z4.object({
  x: z4.number().min(0).max(1),
  y: z4.number().min(0).max(1),
  width: z4.number().min(0).max(1).optional(),
  height: z4.number().min(0).max(1).optional()
});
var TextFilling = z4.object({
  text: z4.string().max(LIMITS.text, `a slot holds at most ${LIMITS.text} characters`),
  varies: z4.boolean().optional()
});
var PictureFilling = z4.object({
  picture: FileId,
  focus: Focus.optional(),
  alt: z4.string().max(1e3).optional(),
  varies: z4.boolean().optional()
});
var Filling = z4.union([TextFilling, PictureFilling]);
var isText = (filling) => filling !== void 0 && "text" in filling;
var isPicture = (filling) => filling !== void 0 && "picture" in filling;
var Role = z4.enum([
  "headline",
  "support",
  "body",
  "kicker",
  "quote",
  "byline",
  "price",
  "badge",
  "cta",
  "handle",
  "site",
  "logo",
  "photo",
  "backdrop",
  "plate",
  "ornament",
  "page-mark",
  "swipe-cue",
  "figure"
]);
var ColourToken = z4.string().min(1);
var Style = z4.object({
  colour: ColourToken.optional(),
  type: z4.enum(["headline", "text"]).optional(),
  size: z4.number().positive().optional(),
  weight: z4.number().int().min(1).max(1e3).optional(),
  case: z4.enum(["as-typed", "upper"]).optional(),
  tracking: z4.number().min(-0.2).max(0.5).optional(),
  leading: z4.number().min(0.6).max(2.5).optional(),
  align: z4.enum(["left", "centre", "right"]).optional(),
  valign: z4.enum(["top", "middle", "bottom"]).optional(),
  plate: z4.object({ colour: ColourToken, padding: z4.number().min(0).max(4).optional() }).optional(),
  shape: z4.enum(["rectangle", "ellipse", "waves"]).optional(),
  turn: z4.number().min(-180).max(180).optional(),
  opacity: z4.number().min(0).max(1).optional()
});
var NodeBox = z4.object({
  x: z4.number(),
  y: z4.number(),
  width: z4.number().positive(),
  height: z4.number().positive()
});
var Node = z4.object({
  id: z4.string().min(1).max(60),
  kind: z4.enum(["text", "picture", "shape", "icon", "line", "code", "chart"]),
  role: Role,
  slot: SlotName.optional(),
  box: NodeBox,
  on: z4.string().optional(),
  style: Style.default({}),
  importance: z4.number().int().min(1).max(5).optional(),
  keep: z4.enum(["always", "if-room"]).optional(),
  pin: z4.object({
    h: z4.enum(["left", "centre", "right"]).optional(),
    v: z4.enum(["top", "middle", "bottom"]).optional()
  }).optional(),
  locked: z4.boolean().optional(),
  hidden: z4.boolean().optional()
});
var Size = z4.object({
  placement: z4.string().min(1),
  changes: z4.record(z4.string(), Node.partial()).default({})
});
var Slide = z4.object({ message: z4.record(SlotName, Filling) });
var Piece = z4.object({
  format: z4.literal("zestcrate/piece"),
  version: z4.literal(1),
  id: z4.string().min(1).max(80),
  kind: z4.enum(["post", "carousel", "story", "ad"]),
  title: z4.string().min(1).max(LIMITS.title),
  brand: z4.string().min(1),
  lead: z4.string().min(1),
  message: z4.record(SlotName, Filling),
  arrangement: z4.array(Node).max(LIMITS.nodes),
  spread: Spread.default({}),
  sizes: z4.array(Size).max(LIMITS.sizes),
  slides: z4.array(Slide).optional()
}).superRefine(checkReferences);
function checkReferences(piece, context) {
  const byId2 = /* @__PURE__ */ new Map();
  piece.arrangement.forEach((node, index) => {
    const path = ["arrangement", index, "id"];
    if (byId2.has(node.id)) {
      context.addIssue({ code: "custom", path, message: `two nodes are called \u201C${node.id}\u201D` });
    }
    byId2.set(node.id, node);
  });
  piece.arrangement.forEach((node, index) => {
    const path = ["arrangement", index, "on"];
    if (node.on !== void 0 && !byId2.has(node.on)) {
      context.addIssue({ code: "custom", path, message: `there is no node \u201C${node.on}\u201D` });
    } else if (leadsBack(node, byId2)) {
      context.addIssue({ code: "custom", path, message: `\u201C${node.id}\u201D would sit on itself` });
    }
  });
}
function leadsBack(node, byId2) {
  const seen = /* @__PURE__ */ new Set([node.id]);
  for (let next = node.on; next !== void 0; next = byId2.get(next)?.on) {
    if (seen.has(next)) return true;
    seen.add(next);
  }
  return false;
}
var messagePictures = (message) => Object.values(message).flatMap((filling) => isPicture(filling) ? [filling.picture] : []);

// core/piece/edits.ts
import { z as z5 } from "zod";

// core/problem.ts
var problems = {
  "request-invalid": {
    status: 400,
    say: (p) => `${p.field}: ${p.why}. Nothing was changed; correct that field and send it again.`
  },
  "not-found": {
    status: 404,
    say: (p) => `There is no ${p.what} \u201C${p.id}\u201D. It may have been deleted; go back to the crates and open it from there.`
  },
  "placement-unknown": {
    status: 400,
    say: (p) => `There is no placement \u201C${p.placement}\u201D. Nothing was changed; pick one of those listed at /api/placements.`
  },
  "document-newer": {
    status: 400,
    say: (p) => `${p.document} is written in version ${p.version} of the format and this program reads up to version ${p.known}. The file is untouched; update Zest Crate, or export the file in version ${p.known}.`
  },
  "document-invalid": {
    status: 400,
    say: (p) => `${p.document} cannot be read at ${p.field}: ${p.why}. Nothing was imported; correct that field and try again.`
  },
  "file-missing": {
    status: 400,
    say: (p) => `${p.document} uses the file ${p.file.slice(0, 12)}\u2026, which is not there. Nothing was imported; add that file and try again.`
  },
  "archive-unreadable": {
    status: 400,
    say: (p) => `${p.name} cannot be opened as a zip: ${p.why}. Nothing was imported; export it again and retry.`
  },
  "picture-unreadable": {
    status: 415,
    say: (p) => `${p.name} is not a picture that can be read (JPEG, PNG, WebP, AVIF, GIF, TIFF or SVG). The picture you had is still in place; choose another file.`
  },
  "picture-truncated": {
    status: 422,
    say: (p) => `${p.name} breaks off before its end, so part of it is missing. The picture you had is still in place; copy the file again from where it came.`
  },
  "picture-too-large": {
    status: 413,
    say: (p) => `${p.name} is ${p.width} \xD7 ${p.height} px; a side may be at most ${p.most} px. The picture you had is still in place; make a smaller copy and use that.`
  },
  "picture-unsafe": {
    status: 422,
    say: (p) => `${p.name} holds ${p.found}, which a picture has no need of. It was not stored; save it again as a plain SVG, or as PNG.`
  },
  "file-too-large": {
    status: 413,
    say: (p) => `The file is larger than ${p.most}. Nothing was stored; make it smaller and try again.`
  },
  "text-too-long": {
    status: 400,
    say: (p) => `${p.slot} has ${p.length} characters; a slot holds at most ${p.most}. What was there before is kept; shorten the text.`
  },
  "edit-conflict": {
    status: 409,
    say: (p) => `${p.what} was changed in another window to \u201C${p.theirs}\u201D. Both wordings are kept; choose which one stays.`
  },
  "edit-impossible": {
    status: 400,
    say: (p) => `${p.why} Nothing was changed.`
  },
  "table-empty": {
    status: 400,
    say: () => "The table has no rows under its headings, so there is nothing to make. Add a row for each variation."
  },
  "table-unreadable": {
    status: 400,
    say: (p) => `${p.name} cannot be read as a table: ${p.why}. Save it as CSV (UTF-8) or XLSX and try again.`
  },
  "table-no-slot": {
    status: 400,
    say: (p) => `None of the columns (${p.columns}) names a slot of this piece. Name the headings after slots: ${p.slots}.`
  },
  "batch-too-many": {
    status: 400,
    say: (p) => `That makes ${p.count} files; one batch makes at most ${p.most}. Nothing was started; use fewer rows, pictures or sizes.`
  },
  "batch-empty": {
    status: 400,
    say: () => "That makes no file. Choose at least one row and one size."
  },
  "delivery-empty": {
    status: 400,
    say: () => "Nothing is chosen. Choose at least one size, or a batch with finished variations."
  },
  "pattern-invalid": {
    status: 400,
    say: (p) => `The name pattern uses {${p.part}}, which is not known. Use ${p.known}.`
  },
  "origin-refused": {
    status: 403,
    say: () => "This request came from another site and was refused. Nothing was changed; use the application's own page."
  },
  "store-full": {
    status: 507,
    say: () => "The disk is full, so this could not be saved. What was saved before is safe; free some space and try again."
  },
  unexpected: {
    status: 500,
    say: () => "Something went wrong in the program. What was saved before is safe; try again, and look at the server's output if it stays."
  }
};
var problemCodes = Object.keys(problems);
var Problem = class extends Error {
  constructor(code, message, status) {
    super(message);
    this.code = code;
    this.status = status;
    this.name = "Problem";
  }
  code;
  status;
};
function problem(code, ...params) {
  const { say, status } = problems[code];
  return new Problem(code, say(params[0]), status);
}

// core/piece/edits.ts
var Edit = z5.discriminatedUnion("kind", [
  z5.object({
    kind: z5.literal("text"),
    slot: SlotName,
    to: z5.string().max(LIMITS.text, `a slot holds at most ${LIMITS.text} characters`),
    was: z5.string()
  }),
  z5.object({
    kind: z5.literal("picture"),
    slot: SlotName,
    to: z5.object({ picture: FileId, focus: Focus.optional(), alt: z5.string().max(1e3).optional() }),
    was: z5.object({ picture: FileId, focus: Focus.optional(), alt: z5.string().optional() })
  }),
  z5.object({ kind: z5.literal("varies"), slot: SlotName, to: z5.boolean(), was: z5.boolean() }),
  z5.object({
    kind: z5.literal("title"),
    to: z5.string().trim().min(1, "a piece needs a name").max(LIMITS.title),
    was: z5.string()
  }),
  z5.object({
    kind: z5.literal("dress"),
    to: z5.object({ brand: z5.string().min(1), spread: Spread }),
    was: z5.object({ brand: z5.string(), spread: Spread })
  }),
  z5.object({ kind: z5.literal("sizes"), to: z5.array(z5.string()).min(1), was: z5.array(z5.string()) })
]);

// core/piece/crate.ts
import { z as z6 } from "zod";
var Crate = z6.object({
  format: z6.literal("zestcrate/crate"),
  version: z6.literal(1),
  id: z6.string().min(1),
  name: z6.string().min(1).max(120),
  brand: z6.string().min(1),
  pieces: z6.array(z6.string())
});

// core/brand/brand.ts
import { z as z7 } from "zod";
var BrandRole = z7.enum(["primary", "secondary", "accent", "ink", "paper", "free"]);
var BrandColour = z7.object({
  id: z7.string().min(1),
  name: z7.string().min(1),
  hex: Hex,
  role: BrandRole
});
var BrandFace = z7.object({
  file: FileId,
  weight: z7.number().int().min(1).max(1e3),
  axes: z7.record(z7.string().length(4), z7.number()).default({})
});
var Typeface = z7.object({
  family: z7.string().min(1),
  faces: z7.array(BrandFace).min(1),
  case: z7.enum(["as-typed", "upper"]).default("as-typed"),
  tracking: z7.number().min(-0.2).max(0.5).default(0),
  leading: z7.number().min(0.6).max(2.5).optional()
});
var Logo = z7.object({
  kind: z7.enum(["full", "mark"]),
  ground: z7.enum(["light", "dark"]),
  file: FileId,
  leastWidth: z7.number().positive().default(16)
});
var Treatment = z7.discriminatedUnion("kind", [
  z7.object({ kind: z7.literal("none") }),
  z7.object({ kind: z7.literal("duotone"), dark: Hex, light: Hex })
]);
var Brand = z7.object({
  format: z7.literal("zestcrate/brand"),
  version: z7.literal(1),
  id: z7.string().min(1),
  name: z7.string().min(1),
  colours: z7.array(BrandColour).min(1),
  typefaces: z7.object({ headline: Typeface, text: Typeface }),
  logos: z7.array(Logo).default([]),
  voice: z7.object({
    handle: z7.string().default(""),
    site: z7.string().default(""),
    callsToAction: z7.array(z7.string()).default([]),
    tone: z7.string().default("")
  }).prefault({}),
  defaults: z7.object({
    corner: z7.enum(["square", "soft", "round"]).default("square"),
    treatment: Treatment.default({ kind: "none" })
  }).prefault({})
});
var brandFonts = (brand) => [
  ...new Set(
    [brand.typefaces.headline, brand.typefaces.text].flatMap((t) => t.faces.map((f) => f.file))
  )
];

// core/brand/dress.ts
function defaultSpread(brand) {
  let spread = defaultSpreads.get(brand);
  if (!spread) defaultSpreads.set(brand, spread = spreads(brand.colours)[0] ?? {});
  return spread;
}
var defaultSpreads = /* @__PURE__ */ new WeakMap();
function paletteOf(brand, spread) {
  const byId2 = new Map(brand.colours.map((colour) => [colour.id, colour.hex]));
  const fallback = defaultSpread(brand);
  const first = brand.colours[0].hex;
  const entries = ColourRole.options.map((role) => {
    const hex = byId2.get(spread[role] ?? "") ?? byId2.get(fallback[role] ?? "") ?? readable(role, first);
    return [role, hex];
  });
  return Object.fromEntries(entries);
}
function readable(role, ground) {
  if (role === "backdrop" || role === "on-action") return ground;
  return luminance(ground) > 0.18 ? "#000000" : "#FFFFFF";
}
function resolveColour(token, brand, palette) {
  const role = ColourRole.safeParse(token);
  if (role.success) return { hex: palette[role.data], raw: false };
  const ofBrand = brand.colours.find((colour) => colour.role === token) ?? brand.colours.find((colour) => colour.id === token);
  if (ofBrand) return { hex: ofBrand.hex, raw: false };
  const raw = Hex.safeParse(token);
  return raw.success ? { hex: raw.data, raw: true } : { hex: palette.headline, raw: false };
}
function logoFor(brand, kind, groundLuminance) {
  const ground = groundLuminance > 0.18 ? "light" : "dark";
  const ofKind = brand.logos.filter((logo) => logo.kind === kind);
  return ofKind.find((logo) => logo.ground === ground) ?? ofKind[0];
}

// server/files/folders.ts
import { readdir, readFile } from "node:fs/promises";
import { extname, join } from "node:path";

// server/files/hash.ts
import { createHash } from "node:crypto";
var fileId = (bytes) => createHash("sha256").update(bytes).digest("hex");

// server/files/folders.ts
var ASSETS = /* @__PURE__ */ new Set([
  ".ttf",
  ".otf",
  ".svg",
  ".png",
  ".jpg",
  ".jpeg",
  ".webp",
  ".avif",
  ".gif",
  ".tif",
  ".tiff"
]);
var FolderFiles = class {
  constructor(folders) {
    this.folders = folders;
  }
  folders;
  found;
  async read(id) {
    this.found ??= this.scan();
    const path = (await this.found).get(id);
    if (path === void 0) throw problem("file-missing", { document: "The piece", file: id });
    return readFile(path);
  }
  async scan() {
    const found = /* @__PURE__ */ new Map();
    for (const folder of this.folders) {
      for (const path of await assetsIn(folder)) found.set(fileId(await readFile(path)), path);
    }
    return found;
  }
};
async function assetsIn(folder) {
  const entries = await readdir(folder, { withFileTypes: true, recursive: true }).catch(() => []);
  return entries.filter((entry) => entry.isFile() && !entry.parentPath.includes("node_modules")).filter((entry) => ASSETS.has(extname(entry.name).toLowerCase()) || /^[0-9a-f]{64}$/.test(entry.name)).map((entry) => join(entry.parentPath, entry.name));
}

// server/render/studio.ts
import { createCanvas, ImageData, Path2D } from "@napi-rs/canvas";
import sharp3 from "sharp";

// core/placements/placement.ts
import { z as z9 } from "zod";

// core/geometry/box.ts
import { z as z8 } from "zod";
var Box = z8.object({
  x: z8.number(),
  y: z8.number(),
  width: z8.number(),
  height: z8.number()
});
var TOLERANCE = 0.5;
var box = (x, y, width, height) => ({
  x,
  y,
  width,
  height
});
var between = (left, top, right2, bottom2) => box(left, top, Math.max(0, right2 - left), Math.max(0, bottom2 - top));
var right = (b) => b.x + b.width;
var bottom = (b) => b.y + b.height;
var area = (b) => b.width * b.height;
var centre = (b) => ({ x: b.x + b.width / 2, y: b.y + b.height / 2 });
var inset = (b, by) => between(b.x + by, b.y + by, right(b) - by, bottom(b) - by);
var intersect = (a, b) => between(
  Math.max(a.x, b.x),
  Math.max(a.y, b.y),
  Math.min(right(a), right(b)),
  Math.min(bottom(a), bottom(b))
);
var overlaps = (a, b) => a.x < right(b) - TOLERANCE && b.x < right(a) - TOLERANCE && a.y < bottom(b) - TOLERANCE && b.y < bottom(a) - TOLERANCE;
var contains = (outer, inner) => inner.x >= outer.x - TOLERANCE && inner.y >= outer.y - TOLERANCE && right(inner) <= right(outer) + TOLERANCE && bottom(inner) <= bottom(outer) + TOLERANCE;
var scaleBox = (b, by) => box(b.x * by, b.y * by, b.width * by, b.height * by);

// core/geometry/free.ts
function largestFree(frame, obstacles) {
  const xs = edges(frame.x, right(frame), obstacles, (o) => [o.x, right(o)]);
  const ys = edges(frame.y, bottom(frame), obstacles, (o) => [o.y, bottom(o)]);
  let best2 = between(frame.x, frame.y, frame.x, frame.y);
  for (const left of xs) {
    for (const top of ys) {
      for (const rightEdge of xs) {
        for (const bottomEdge of ys) {
          const candidate = between(left, top, rightEdge, bottomEdge);
          if (area(candidate) > area(best2) && !obstacles.some((o) => overlaps(candidate, o))) {
            best2 = candidate;
          }
        }
      }
    }
  }
  return best2;
}
function edges(from, to, obstacles, of) {
  const inside = obstacles.flatMap(of).filter((edge) => edge > from && edge < to);
  return [.../* @__PURE__ */ new Set([from, ...inside, to])];
}

// core/placements/placement.ts
var Crop = Box.extend({
  name: z9.string(),
  shape: z9.enum(["rect", "circle"]),
  keeps: z9.array(z9.string())
});
var Covered = Box.extend({ by: z9.string() });
var Placement = z9.object({
  id: z9.string().min(1),
  name: z9.string().min(1),
  channel: z9.string(),
  width: z9.number().int().min(1).max(2e4),
  height: z9.number().int().min(1).max(2e4),
  viewWidth: z9.number().positive(),
  use: z9.enum(["post", "story", "ad", "cover", "thumbnail", "profile", "poster"]),
  margin: z9.number().min(0),
  covered: z9.array(Covered).default([]),
  crops: z9.array(Crop).default([]),
  slides: z9.object({ min: z9.number().int(), max: z9.number().int() }).optional(),
  maxKB: z9.number().positive().optional(),
  formats: z9.array(z9.string()),
  source: z9.string(),
  note: z9.string().optional()
});
var Catalogue = z9.object({
  version: z9.literal(1),
  checked: z9.string(),
  units: z9.string(),
  placements: z9.array(Placement)
});

// core/placements/catalogue.json
var catalogue_default = {
  version: 1,
  checked: "2026-11-25",
  units: 'pixels; viewWidth is the width in CSS pixels at which people usually see it; legibility floor for text = 11 CSS px x width / viewWidth (for display ads 10); a crop keeps the named roles inside it, "all" means every node that must lie in the safe area',
  placements: [
    {
      id: "photo-feed-square",
      name: "Photo feed, square",
      channel: "photo-feed",
      width: 1080,
      height: 1080,
      viewWidth: 390,
      use: "post",
      margin: 100,
      slides: {
        min: 1,
        max: 10
      },
      formats: [
        "png",
        "jpeg"
      ],
      source: "common practice"
    },
    {
      id: "photo-feed-tall",
      name: "Photo feed, tall",
      channel: "photo-feed",
      width: 1080,
      height: 1350,
      viewWidth: 390,
      use: "post",
      margin: 100,
      crops: [
        {
          name: "profile grid",
          shape: "rect",
          x: 0,
          y: 135,
          width: 1080,
          height: 1080,
          keeps: [
            "headline",
            "logo"
          ]
        }
      ],
      slides: {
        min: 1,
        max: 10
      },
      formats: [
        "png",
        "jpeg"
      ],
      source: "common practice"
    },
    {
      id: "photo-feed-wide",
      name: "Photo feed, wide",
      channel: "photo-feed",
      width: 1080,
      height: 566,
      viewWidth: 390,
      use: "post",
      margin: 60,
      crops: [
        {
          name: "profile grid",
          shape: "rect",
          x: 257,
          y: 0,
          width: 566,
          height: 566,
          keeps: [
            "headline"
          ]
        }
      ],
      slides: {
        min: 1,
        max: 10
      },
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "photo-feed-avatar",
      name: "Photo feed, profile picture",
      channel: "photo-feed",
      width: 400,
      height: 400,
      viewWidth: 110,
      use: "profile",
      margin: 20,
      crops: [
        {
          name: "round mask",
          shape: "circle",
          x: 0,
          y: 0,
          width: 400,
          height: 400,
          keeps: [
            "logo"
          ]
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "story",
      name: "Story",
      channel: "story",
      width: 1080,
      height: 1920,
      viewWidth: 390,
      use: "story",
      margin: 64,
      covered: [
        {
          by: "name and progress bar",
          x: 0,
          y: 0,
          width: 1080,
          height: 250
        },
        {
          by: "reply bar",
          x: 0,
          y: 1580,
          width: 1080,
          height: 340
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "short-video-cover",
      name: "Short vertical video, cover",
      channel: "short-video",
      width: 1080,
      height: 1920,
      viewWidth: 390,
      use: "story",
      margin: 64,
      covered: [
        {
          by: "header",
          x: 0,
          y: 0,
          width: 1080,
          height: 270
        },
        {
          by: "caption",
          x: 0,
          y: 1250,
          width: 1080,
          height: 670
        },
        {
          by: "side buttons",
          x: 945,
          y: 900,
          width: 135,
          height: 1020
        }
      ],
      crops: [
        {
          name: "profile grid",
          shape: "rect",
          x: 0,
          y: 420,
          width: 1080,
          height: 1080,
          keeps: [
            "headline"
          ]
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory",
      note: "the caption and button areas differ between channels; this takes the larger of each"
    },
    {
      id: "status",
      name: "Messaging status",
      channel: "messaging",
      width: 1080,
      height: 1920,
      viewWidth: 390,
      use: "story",
      margin: 64,
      covered: [
        {
          by: "name bar",
          x: 0,
          y: 0,
          width: 1080,
          height: 200
        },
        {
          by: "reply bar",
          x: 0,
          y: 1680,
          width: 1080,
          height: 240
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "community-post-square",
      name: "Community page post, square",
      channel: "community",
      width: 1080,
      height: 1080,
      viewWidth: 390,
      use: "post",
      margin: 80,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "community-post-tall",
      name: "Community page post, tall",
      channel: "community",
      width: 1080,
      height: 1350,
      viewWidth: 390,
      use: "post",
      margin: 80,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "community-link",
      name: "Link picture (Open Graph)",
      channel: "community",
      width: 1200,
      height: 630,
      viewWidth: 390,
      use: "post",
      margin: 64,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory; 1.91:1 as used with the Open Graph protocol's og:image"
    },
    {
      id: "community-page-cover",
      name: "Community page cover",
      channel: "community",
      width: 1640,
      height: 624,
      viewWidth: 390,
      use: "cover",
      margin: 60,
      covered: [
        {
          by: "profile picture",
          x: 30,
          y: 470,
          width: 330,
          height: 154
        }
      ],
      crops: [
        {
          name: "phone",
          shape: "rect",
          x: 265,
          y: 0,
          width: 1110,
          height: 624,
          keeps: [
            "headline",
            "logo"
          ]
        },
        {
          name: "desktop",
          shape: "rect",
          x: 0,
          y: 0,
          width: 1640,
          height: 608,
          keeps: [
            "headline",
            "logo"
          ]
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "community-event-cover",
      name: "Event cover",
      channel: "community",
      width: 1920,
      height: 1005,
      viewWidth: 390,
      use: "cover",
      margin: 100,
      formats: [
        "png",
        "jpeg"
      ],
      source: "common practice"
    },
    {
      id: "community-group-cover",
      name: "Group cover",
      channel: "community",
      width: 1640,
      height: 856,
      viewWidth: 390,
      use: "cover",
      margin: 80,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "professional-post-wide",
      name: "Professional network post, wide",
      channel: "professional",
      width: 1200,
      height: 627,
      viewWidth: 390,
      use: "post",
      margin: 64,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "professional-post-square",
      name: "Professional network post, square",
      channel: "professional",
      width: 1200,
      height: 1200,
      viewWidth: 390,
      use: "post",
      margin: 90,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "professional-post-tall",
      name: "Professional network post, tall",
      channel: "professional",
      width: 1080,
      height: 1350,
      viewWidth: 390,
      use: "post",
      margin: 90,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "professional-document",
      name: "Professional network document page",
      channel: "professional",
      width: 1080,
      height: 1350,
      viewWidth: 390,
      use: "post",
      margin: 100,
      slides: {
        min: 2,
        max: 20
      },
      formats: [
        "pdf"
      ],
      source: "from memory"
    },
    {
      id: "professional-personal-banner",
      name: "Professional profile banner",
      channel: "professional",
      width: 1584,
      height: 396,
      viewWidth: 390,
      use: "cover",
      margin: 48,
      covered: [
        {
          by: "profile picture",
          x: 40,
          y: 190,
          width: 420,
          height: 206
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "professional-page-banner",
      name: "Professional page banner",
      channel: "professional",
      width: 1128,
      height: 191,
      viewWidth: 390,
      use: "cover",
      margin: 24,
      covered: [
        {
          by: "page logo",
          x: 24,
          y: 90,
          width: 210,
          height: 101
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "microblog-wide",
      name: "Microblog post, wide",
      channel: "microblog",
      width: 1600,
      height: 900,
      viewWidth: 390,
      use: "post",
      margin: 120,
      crops: [
        {
          name: "collapsed timeline",
          shape: "rect",
          x: 200,
          y: 50,
          width: 1200,
          height: 800,
          keeps: [
            "headline",
            "logo"
          ]
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory",
      note: "keep what matters horizontally centred, away from the edges"
    },
    {
      id: "microblog-square",
      name: "Microblog post, square",
      channel: "microblog",
      width: 1080,
      height: 1080,
      viewWidth: 390,
      use: "post",
      margin: 100,
      crops: [
        {
          name: "collapsed timeline",
          shape: "rect",
          x: 0,
          y: 236,
          width: 1080,
          height: 608,
          keeps: [
            "headline"
          ]
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "microblog-header",
      name: "Microblog header",
      channel: "microblog",
      width: 1500,
      height: 500,
      viewWidth: 390,
      use: "cover",
      margin: 60,
      covered: [
        {
          by: "profile picture",
          x: 40,
          y: 330,
          width: 350,
          height: 170
        }
      ],
      crops: [
        {
          name: "short screens",
          shape: "rect",
          x: 0,
          y: 60,
          width: 1500,
          height: 380,
          keeps: [
            "headline",
            "logo"
          ]
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "pinboard-tall",
      name: "Pinboard, tall",
      channel: "pinboard",
      width: 1e3,
      height: 1500,
      viewWidth: 236,
      use: "post",
      margin: 80,
      covered: [
        {
          by: "save and link buttons",
          x: 0,
          y: 1400,
          width: 1e3,
          height: 100
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory; tall pictures on pinboards are common practice"
    },
    {
      id: "pinboard-square",
      name: "Pinboard, square",
      channel: "pinboard",
      width: 1e3,
      height: 1e3,
      viewWidth: 236,
      use: "post",
      margin: 80,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "video-thumbnail",
      name: "Video thumbnail",
      channel: "video",
      width: 1280,
      height: 720,
      viewWidth: 360,
      use: "thumbnail",
      margin: 60,
      covered: [
        {
          by: "running time",
          x: 1080,
          y: 620,
          width: 200,
          height: 100
        }
      ],
      maxKB: 2048,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "video-channel-banner",
      name: "Video channel banner",
      channel: "video",
      width: 2560,
      height: 1440,
      viewWidth: 390,
      use: "cover",
      margin: 0,
      crops: [
        {
          name: "all screens",
          shape: "rect",
          x: 507,
          y: 508,
          width: 1546,
          height: 423,
          keeps: [
            "all"
          ]
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "video-community-post",
      name: "Video channel community post",
      channel: "video",
      width: 1080,
      height: 1080,
      viewWidth: 390,
      use: "post",
      margin: 80,
      slides: {
        min: 1,
        max: 10
      },
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "article-cover",
      name: "Article cover",
      channel: "article",
      width: 1600,
      height: 840,
      viewWidth: 390,
      use: "cover",
      margin: 96,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "newsletter-header",
      name: "Newsletter header",
      channel: "article",
      width: 1200,
      height: 400,
      viewWidth: 390,
      use: "cover",
      margin: 48,
      maxKB: 200,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "ad-medium-rectangle",
      name: "Medium rectangle",
      channel: "display-ads",
      width: 300,
      height: 250,
      viewWidth: 300,
      use: "ad",
      margin: 12,
      maxKB: 150,
      formats: [
        "png",
        "jpeg",
        "gif"
      ],
      source: "IAB New Ad Portfolio, fixed-size specifications (2017); weights from memory",
      note: "some networks want a visible border when the background is white"
    },
    {
      id: "ad-leaderboard",
      name: "Leaderboard",
      channel: "display-ads",
      width: 728,
      height: 90,
      viewWidth: 728,
      use: "ad",
      margin: 4,
      maxKB: 150,
      formats: [
        "png",
        "jpeg",
        "gif"
      ],
      source: "IAB New Ad Portfolio, fixed-size specifications (2017); weights from memory",
      note: "some networks want a visible border when the background is white"
    },
    {
      id: "ad-wide-skyscraper",
      name: "Wide skyscraper",
      channel: "display-ads",
      width: 160,
      height: 600,
      viewWidth: 160,
      use: "ad",
      margin: 8,
      maxKB: 150,
      formats: [
        "png",
        "jpeg",
        "gif"
      ],
      source: "IAB New Ad Portfolio, fixed-size specifications (2017); weights from memory",
      note: "some networks want a visible border when the background is white"
    },
    {
      id: "ad-half-page",
      name: "Half page",
      channel: "display-ads",
      width: 300,
      height: 600,
      viewWidth: 300,
      use: "ad",
      margin: 15,
      maxKB: 200,
      formats: [
        "png",
        "jpeg",
        "gif"
      ],
      source: "IAB New Ad Portfolio, fixed-size specifications (2017); weights from memory",
      note: "some networks want a visible border when the background is white"
    },
    {
      id: "ad-billboard",
      name: "Billboard",
      channel: "display-ads",
      width: 970,
      height: 250,
      viewWidth: 970,
      use: "ad",
      margin: 12,
      maxKB: 250,
      formats: [
        "png",
        "jpeg",
        "gif"
      ],
      source: "IAB New Ad Portfolio, fixed-size specifications (2017); weights from memory",
      note: "some networks want a visible border when the background is white"
    },
    {
      id: "ad-super-leaderboard",
      name: "Super leaderboard",
      channel: "display-ads",
      width: 970,
      height: 90,
      viewWidth: 970,
      use: "ad",
      margin: 4,
      maxKB: 200,
      formats: [
        "png",
        "jpeg",
        "gif"
      ],
      source: "IAB New Ad Portfolio, fixed-size specifications (2017); weights from memory",
      note: "some networks want a visible border when the background is white"
    },
    {
      id: "ad-phone-banner",
      name: "Phone banner",
      channel: "display-ads",
      width: 320,
      height: 50,
      viewWidth: 320,
      use: "ad",
      margin: 4,
      maxKB: 50,
      formats: [
        "png",
        "jpeg",
        "gif"
      ],
      source: "IAB New Ad Portfolio, fixed-size specifications (2017); weights from memory",
      note: "some networks want a visible border when the background is white"
    },
    {
      id: "ad-large-phone-banner",
      name: "Large phone banner",
      channel: "display-ads",
      width: 320,
      height: 100,
      viewWidth: 320,
      use: "ad",
      margin: 5,
      maxKB: 100,
      formats: [
        "png",
        "jpeg",
        "gif"
      ],
      source: "IAB New Ad Portfolio, fixed-size specifications (2017); weights from memory",
      note: "some networks want a visible border when the background is white"
    },
    {
      id: "ad-phone-interstitial",
      name: "Phone interstitial",
      channel: "display-ads",
      width: 320,
      height: 480,
      viewWidth: 320,
      use: "ad",
      margin: 16,
      maxKB: 150,
      formats: [
        "png",
        "jpeg",
        "gif"
      ],
      source: "IAB New Ad Portfolio, fixed-size specifications (2017); weights from memory",
      note: "some networks want a visible border when the background is white"
    },
    {
      id: "ad-feed-square",
      name: "Feed ad, square",
      channel: "feed-ads",
      width: 1080,
      height: 1080,
      viewWidth: 390,
      use: "ad",
      margin: 80,
      maxKB: 30720,
      formats: [
        "png",
        "jpeg"
      ],
      source: "common practice"
    },
    {
      id: "ad-feed-wide",
      name: "Feed ad, wide",
      channel: "feed-ads",
      width: 1200,
      height: 628,
      viewWidth: 390,
      use: "ad",
      margin: 64,
      maxKB: 5120,
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "ad-story",
      name: "Story ad",
      channel: "feed-ads",
      width: 1080,
      height: 1920,
      viewWidth: 390,
      use: "ad",
      margin: 64,
      covered: [
        {
          by: "name bar",
          x: 0,
          y: 0,
          width: 1080,
          height: 270
        },
        {
          by: "button and caption",
          x: 0,
          y: 1536,
          width: 1080,
          height: 384
        }
      ],
      formats: [
        "png",
        "jpeg"
      ],
      source: "from memory"
    },
    {
      id: "poster-a3",
      name: "Poster A3",
      channel: "print",
      width: 3508,
      height: 4961,
      viewWidth: 1123,
      use: "poster",
      margin: 236,
      formats: [
        "pdf",
        "png"
      ],
      source: "ISO 216 at 300 pixels an inch",
      note: "viewWidth: 297 mm at 96 CSS px an inch"
    },
    {
      id: "flyer-a4",
      name: "Flyer A4",
      channel: "print",
      width: 2480,
      height: 3508,
      viewWidth: 794,
      use: "poster",
      margin: 177,
      formats: [
        "pdf",
        "png"
      ],
      source: "ISO 216 at 300 pixels an inch"
    }
  ]
};

// core/placements/catalogue.ts
var catalogue = Catalogue.parse(catalogue_default);
var byId = new Map(catalogue.placements.map((placement) => [placement.id, placement]));
function placementById(id) {
  const placement = byId.get(id);
  if (!placement) throw problem("placement-unknown", { placement: id });
  return placement;
}

// core/placements/safe.ts
var FLOOR_CSS_PX = 11;
var FLOOR_AD_CSS_PX = 10;
var frameOf = (placement) => box(0, 0, placement.width, placement.height);
function safeArea(placement) {
  return largestFree(inset(frameOf(placement), placement.margin), placement.covered);
}
function keptArea(placement, role) {
  return placement.crops.filter((crop) => crop.keeps.includes(role) || crop.keeps.includes("all")).map(insideCrop).reduce(intersect, safeArea(placement));
}
function insideCrop(crop) {
  if (crop.shape === "rect") return crop;
  const side = Math.min(crop.width, crop.height) / Math.SQRT2;
  const x = crop.x + (crop.width - side) / 2;
  const y = crop.y + (crop.height - side) / 2;
  return box(x, y, side, side);
}
function legibilityFloor(placement) {
  const css = placement.channel === "display-ads" ? FLOOR_AD_CSS_PX : FLOOR_CSS_PX;
  return css / cssPerPixel(placement);
}
var cssPerPixel = (placement) => placement.viewWidth / placement.width;

// core/picture/crop.ts
function cropTo(picture, frame, focus) {
  const scale = Math.max(frame.width / picture.width, frame.height / picture.height);
  const width = frame.width / scale;
  const height = frame.height / scale;
  return box(
    along(picture.width, width, focus.x, focus.width),
    along(picture.height, height, focus.y, focus.height),
    width,
    height
  );
}
function along(whole, window, focusStart, focusLength) {
  const room = whole - window;
  if (room <= 0) return 0;
  const middle = focusStart + focusLength / 2;
  return Math.min(Math.max(0, middle - window / 2), room);
}
var focusShown = (crop, focus) => contains(crop, focus) || area(focus) === 0 ? 1 : area(intersect(crop, focus)) / area(focus);
function focusInFrame(crop, focus, frame) {
  const scale = frame.width / crop.width;
  const seen = intersect(crop, focus);
  return box(
    frame.x + (seen.x - crop.x) * scale,
    frame.y + (seen.y - crop.y) * scale,
    seen.width * scale,
    seen.height * scale
  );
}

// core/picture/tones.ts
var COLUMNS = 40;
function readTones(grey, width, height) {
  const columns2 = Math.min(COLUMNS, width);
  const rows = Math.max(1, Math.min(height, Math.round(columns2 * height / width)));
  const means = [];
  const details = [];
  for (let row2 = 0; row2 < rows; row2++) {
    for (let column = 0; column < columns2; column++) {
      const x0 = Math.floor(column * width / columns2);
      const x1 = Math.max(x0 + 1, Math.floor((column + 1) * width / columns2));
      const y0 = Math.floor(row2 * height / rows);
      const y1 = Math.max(y0 + 1, Math.floor((row2 + 1) * height / rows));
      const { mean, deviation } = statistics(grey, width, x0, y0, x1, y1);
      means.push(round(mean / 255));
      details.push(round(deviation / 255));
    }
  }
  return { columns: columns2, rows, grey: means, detail: details };
}
var round = (value) => Math.round(value * 1e3) / 1e3;
function statistics(grey, stride, x0, y0, x1, y1) {
  let [sum2, squares, count] = [0, 0, 0];
  for (let y = y0; y < y1; y++) {
    for (let x = x0; x < x1; x++) {
      const value = grey[y * stride + x];
      sum2 += value;
      squares += value * value;
      count++;
    }
  }
  const mean = sum2 / count;
  return { mean, deviation: Math.sqrt(Math.max(0, squares / count - mean * mean)) };
}
function toneOf(picture, area2, treatment) {
  const cells = cellsIn(picture, area2);
  const { tones } = picture;
  const greys = cells.map((cell) => tones.grey[cell]);
  const luminances2 = greys.map((grey) => treatedLuminance(grey, treatment));
  const meanGrey = average(greys);
  const between2 = Math.sqrt(average(greys.map((grey) => (grey - meanGrey) ** 2)));
  return {
    darkest: Math.min(...luminances2),
    mean: average(luminances2),
    lightest: Math.max(...luminances2),
    busy: between2 + average(cells.map((cell) => tones.detail[cell]))
  };
}
function cellsIn(picture, area2) {
  const { columns: columns2, rows } = picture.tones;
  const seen = intersect(area2, box(0, 0, picture.width, picture.height));
  const column = (x) => Math.min(columns2 - 1, Math.floor(x * columns2 / picture.width));
  const row2 = (y) => Math.min(rows - 1, Math.floor(y * rows / picture.height));
  const cells = [];
  for (let r = row2(seen.y); r <= row2(bottom(seen) - 1e-6); r++) {
    for (let c = column(seen.x); c <= column(right(seen) - 1e-6); c++) cells.push(r * columns2 + c);
  }
  return cells.length > 0 ? cells : [0];
}
var average = (values) => values.reduce((a, b) => a + b, 0) / values.length;
var tables = /* @__PURE__ */ new WeakMap();
function treatedLuminance(grey, treatment) {
  let table = tables.get(treatment);
  if (!table) tables.set(treatment, table = luminanceTable(treatment));
  return table[Math.round(grey * 255)];
}
function luminanceTable(treatment) {
  const [dark, light] = treatment.kind === "none" ? [BLACK, WHITE] : [rgb(treatment.dark), rgb(treatment.light)];
  return Float64Array.from({ length: 256 }, (_, value) => {
    const part = (from, to) => linear(from + (to - from) * value / 255);
    const [r, g, b] = [part(dark.r, light.r), part(dark.g, light.g), part(dark.b, light.b)];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  });
}
var BLACK = { r: 0, g: 0, b: 0 };
var WHITE = { r: 1, g: 1, b: 1 };
var linear = (value) => value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;

// core/picture/treat.ts
var LUMA = [0.299, 0.587, 0.114];
function treat(pixels, treatment) {
  if (treatment.kind === "none") return;
  const table = duotoneTable(treatment.dark, treatment.light);
  for (let i = 0; i < pixels.length; i += 4) {
    const grey = Math.round(
      LUMA[0] * pixels[i] + LUMA[1] * pixels[i + 1] + LUMA[2] * pixels[i + 2]
    );
    pixels[i] = table[grey * 3];
    pixels[i + 1] = table[grey * 3 + 1];
    pixels[i + 2] = table[grey * 3 + 2];
  }
}
function duotoneTable(dark, light) {
  const [from, to] = [rgb(dark), rgb(light)];
  const table = new Uint8Array(256 * 3);
  for (let grey = 0; grey < 256; grey++) {
    const share = grey / 255;
    table[grey * 3] = Math.round(255 * (from.r + (to.r - from.r) * share));
    table[grey * 3 + 1] = Math.round(255 * (from.g + (to.g - from.g) * share));
    table[grey * 3 + 2] = Math.round(255 * (from.b + (to.b - from.b) * share));
  }
  return table;
}
var treatmentKey = (treatment) => treatment.kind === "none" ? "none" : `duotone-${treatment.dark.slice(1)}-${treatment.light.slice(1)}`.toLowerCase();

// core/refit/ground.ts
function groundBehind(target, behind, backdrop) {
  const ground = behind.findLast((item) => isGround(item) && contains(item.box, target));
  if (ground?.node.type === "picture" && ground.crop) {
    return toneOf(ground.node.file, inPicture(target, ground.box, ground.crop), ground.node.treatment);
  }
  const flat = luminance(ground?.node.type === "shape" ? ground.node.colour : backdrop);
  return { darkest: flat, mean: flat, lightest: flat, busy: 0 };
}
var isGround = ({ node }) => node.type === "picture" || node.type === "shape" && node.role !== "ornament";
function inPicture(target, frame, crop) {
  const scale = crop.width / frame.width;
  return box(
    crop.x + (target.x - frame.x) * scale,
    crop.y + (target.y - frame.y) * scale,
    target.width * scale,
    target.height * scale
  );
}

// core/type/face.ts
import { Blob, Buffer, Direction, Face as HbFace, Font, MetricsTag, shape, Variation } from "harfbuzzjs";
var Face = class {
  key;
  unitsPerEm;
  capHeight;
  font;
  characters;
  outlines = /* @__PURE__ */ new Map();
  inks = /* @__PURE__ */ new Map();
  constructor(key, hbFace, axes, characters) {
    this.key = key;
    this.unitsPerEm = hbFace.upem;
    this.characters = characters;
    this.font = new Font(hbFace);
    const variations = Object.entries(axes).map(([tag, value]) => new Variation(tag, value));
    if (variations.length > 0) this.font.setVariations(variations);
    const cap = this.font.getMetricPosition(MetricsTag.CAP_HEIGHT);
    this.capHeight = (cap ?? this.font.hExtents().ascender * 0.72) / this.unitsPerEm;
  }
  has(codePoint) {
    return this.characters.has(codePoint);
  }
  /** Shapes one run of one direction and one script; glyphs come in visual order. */
  shape(text2, direction) {
    const buffer = new Buffer();
    buffer.addText(text2);
    buffer.setDirection(direction === "rtl" ? Direction.RTL : Direction.LTR);
    buffer.guessSegmentProperties();
    shape(this.font, buffer);
    const em = this.unitsPerEm;
    const positions = buffer.getGlyphPositions();
    return buffer.getGlyphInfos().map((info, index) => {
      const position = positions[index];
      return {
        glyph: info.codepoint,
        advance: position.xAdvance / em,
        dx: position.xOffset / em,
        dy: position.yOffset / em
      };
    });
  }
  /** The glyph's outline as SVG path data in font units, y upwards. Empty for a space. */
  outline(glyph) {
    let path = this.outlines.get(glyph);
    if (path === void 0) this.outlines.set(glyph, path = this.font.glyphToPath(glyph));
    return path;
  }
  /** Undefined for a glyph without ink, such as a space. */
  ink(glyph) {
    let ink = this.inks.get(glyph);
    if (ink === void 0) this.inks.set(glyph, ink = this.readInk(glyph));
    return ink ?? void 0;
  }
  readInk(glyph) {
    const extents = this.font.glyphExtents(glyph);
    if (!extents || extents.width === 0 || extents.height === 0) return null;
    const em = this.unitsPerEm;
    return {
      left: extents.xBearing / em,
      right: (extents.xBearing + extents.width) / em,
      top: extents.yBearing / em,
      bottom: (extents.yBearing + extents.height) / em
    };
  }
};
var FontFile = class {
  constructor(id, bytes) {
    this.id = id;
    this.hbFace = new HbFace(new Blob(bytes), 0);
    this.characters = new Set(this.hbFace.collectUnicodes());
    if (this.characters.size === 0) throw new RangeError("the font has no characters");
  }
  id;
  hbFace;
  characters;
  faces = /* @__PURE__ */ new Map();
  face(axes) {
    const setting = Object.entries(axes).sort().map(([tag, value]) => `${tag}=${value}`).join(",");
    const key = setting ? `${this.id}:${setting}` : this.id;
    let face = this.faces.get(key);
    if (!face) this.faces.set(key, face = new Face(key, this.hbFace, axes, this.characters));
    return face;
  }
};

// core/type/paragraph.ts
import LineBreaker from "linebreak";

// core/type/shape.ts
import createBidi from "bidi-js";
var bidi = createBidi();
var RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff]/;
function shapeLine(text2, chain, tracking) {
  const glyphs = [];
  let pen = 0;
  for (const run of visualRuns(text2, chain)) {
    for (const shaped of run.face.shape(run.text, run.direction)) {
      glyphs.push({ face: run.face, glyph: shaped.glyph, x: pen + shaped.dx, y: shaped.dy });
      pen += shaped.advance + (shaped.advance > 0 ? tracking : 0);
    }
  }
  return inked(text2, glyphs, Math.max(0, pen - tracking));
}
function inked(text2, glyphs, advance) {
  let [left, right2, top, bottom2] = [Infinity, -Infinity, -Infinity, Infinity];
  for (const { face, glyph, x, y } of glyphs) {
    const ink = face.ink(glyph);
    if (!ink) continue;
    left = Math.min(left, x + ink.left);
    right2 = Math.max(right2, x + ink.right);
    top = Math.max(top, y + ink.top);
    bottom2 = Math.min(bottom2, y + ink.bottom);
  }
  if (left > right2) return { text: text2, glyphs: [], advance, inkWidth: 0, top: 0, bottom: 0 };
  const shifted = glyphs.map((g) => ({ ...g, x: g.x - left }));
  return { text: text2, glyphs: shifted, advance, inkWidth: right2 - left, top, bottom: -bottom2 };
}
function visualRuns(text2, chain) {
  if (!RIGHT_TO_LEFT.test(text2)) return faceRuns(text2, chain, "ltr");
  const embedding = bidi.getEmbeddingLevels(text2);
  const { levels } = embedding;
  const order = bidi.getReorderedIndices(text2, embedding);
  const runs = [];
  for (let i = 0; i < order.length; ) {
    const level = levels[order[i]];
    let end = i + 1;
    while (end < order.length && levels[order[end]] === level) end++;
    const logical = order.slice(i, end).sort((a, b) => a - b);
    const slice = text2.slice(logical[0], logical[logical.length - 1] + 1);
    const direction = level % 2 === 1 ? "rtl" : "ltr";
    const pieces = faceRuns(slice, chain, direction);
    runs.push(...direction === "rtl" ? pieces.reverse() : pieces);
    i = end;
  }
  return runs;
}
var graphemes = new Intl.Segmenter(void 0, { granularity: "grapheme" });
function faceRuns(text2, chain, direction) {
  const [first] = chain;
  if (!first) throw new RangeError("a text needs at least one face");
  const runs = [];
  for (const { segment } of graphemes.segment(text2)) {
    const points = [...segment].map((character) => character.codePointAt(0));
    const face = chain.find((candidate) => points.every((p) => isBlank(p) || candidate.has(p)));
    const last = runs.at(-1);
    if (last && (last.face === (face ?? first) || points.every(isBlank))) last.text += segment;
    else runs.push({ text: segment, face: face ?? first, direction });
  }
  return runs;
}
var isBlank = (codePoint) => codePoint === 32 || codePoint === 160 || codePoint === 8203 || codePoint === 8205;

// core/type/paragraph.ts
var SHORT_LAST_LINE = 0.34;
var MOST_PARTS_BALANCED = 60;
var MOST_MEASURES_KEPT = 400;
var Paragraph = class {
  constructor(text2, style, advance) {
    this.style = style;
    this.parts = partsOf(style.case === "upper" ? text2.toLocaleUpperCase() : text2, advance);
    this.widest = Math.max(0, ...this.parts.map((part) => part.width));
  }
  style;
  parts;
  widest;
  measures = [];
  evennesses = [];
  broken = /* @__PURE__ */ new Map();
  shaped = /* @__PURE__ */ new Map();
  get empty() {
    return this.parts.length === 0;
  }
  text({ from, to }) {
    return this.parts.slice(from, to).map((part) => part.text).join("").trimEnd();
  }
  /** The advance of a line in em, without the space at its end. */
  width({ from, to }) {
    let sum2 = 0;
    for (let i = from; i < to; i++) sum2 += this.parts[i].width + this.parts[i].space;
    return to > from ? sum2 - this.parts[to - 1].space : 0;
  }
  /** First-fit lines for a measure in em. A part wider than the measure stands alone and sticks out. */
  greedy(measure) {
    const lines = [];
    let from = 0;
    let width = 0;
    this.parts.forEach((part, index) => {
      const begins = index === from;
      if (!begins && width + part.width > measure + 1e-9) {
        lines.push({ from, to: index });
        from = index;
        width = 0;
      }
      width += part.width + part.space;
      if (part.ends) {
        lines.push({ from, to: index + 1 });
        from = index + 1;
        width = 0;
      }
    });
    if (from < this.parts.length) lines.push({ from, to: this.parts.length });
    return lines;
  }
  /** The narrowest measure, in em, at which the text takes at most `lines` lines. */
  measureFor(lines) {
    const known = this.measures[lines];
    if (known !== void 0) return known;
    let [low, high] = [this.widest, Math.max(this.widest, this.width(this.all))];
    if (this.greedy(low).length <= lines) high = low;
    while (high - low > 2e-3) {
      const middle = (low + high) / 2;
      if (this.greedy(middle).length <= lines) high = middle;
      else low = middle;
    }
    return this.measures[lines] = high;
  }
  /** As few lines as first-fit needs for the measure, but with the least raggedness. */
  balanced(measure) {
    let lines = this.broken.get(measure);
    if (!lines) {
      if (this.broken.size > MOST_MEASURES_KEPT) this.broken.clear();
      this.broken.set(measure, lines = this.breakEvenly(measure));
    }
    return lines;
  }
  /** Mean line width over the widest, squared: lines of one short word are paid for with size. */
  evenness(lines) {
    let value = this.evennesses[lines];
    if (value === void 0) {
      const widths = this.balanced(this.measureFor(lines)).map((line) => this.width(line));
      const mean = widths.reduce((a, b) => a + b, 0) / widths.length;
      this.evennesses[lines] = value = (mean / Math.max(...widths)) ** 2;
    }
    return value;
  }
  /** The line, shaped as a whole so that kerning and joining are right across its words. */
  shape(line) {
    const key = line.from * (this.parts.length + 1) + line.to;
    let shaped = this.shaped.get(key);
    if (!shaped) {
      shaped = shapeLine(this.text(line), this.style.chain, this.style.tracking);
      this.shaped.set(key, shaped);
    }
    return shaped;
  }
  breakEvenly(measure) {
    const greedy = this.greedy(measure);
    if (greedy.length < 2 || this.parts.length > MOST_PARTS_BALANCED) return greedy;
    return leastRagged(this, greedy.length, measure) ?? greedy;
  }
  get all() {
    return { from: 0, to: this.parts.length };
  }
};
function partsOf(text2, advance) {
  const parts = [];
  const breaker = new LineBreaker(text2);
  let from = 0;
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    const whole = text2.slice(from, next.position).replace(/[\r\n\u2028\u2029]+$/, "");
    const word = whole.trimEnd();
    const spaces = whole.length - word.length;
    parts.push({
      text: whole,
      width: word ? advance(word) : 0,
      space: spaces > 0 ? advance(" ") * spaces : 0,
      ends: next.required && next.position < text2.length
    });
    from = next.position;
  }
  return parts.filter((part) => part.text !== "" || part.ends);
}
function leastRagged(paragraph, count, measure) {
  const { parts } = paragraph;
  const total2 = parts.length;
  const target = paragraph.width({ from: 0, to: total2 }) / count;
  const costOf = (line) => {
    const width = paragraph.width(line);
    if (width > measure + 1e-9 && line.to - line.from > 1) return Infinity;
    for (let i = line.from; i < line.to - 1; i++) if (parts[i].ends) return Infinity;
    const short = line.to === total2 && width < SHORT_LAST_LINE * target ? target * target : 0;
    return (width - target) ** 2 + short;
  };
  let best2 = [{ cost: 0, lines: [] }];
  for (let row2 = 0; row2 < count; row2++) {
    const next = [];
    for (let to = row2 + 1; to <= total2; to++) {
      for (let from = row2; from < to; from++) {
        const before = best2[from];
        if (!before) continue;
        const line = { from, to };
        const cost = before.cost + costOf(line);
        if (cost < (next[to]?.cost ?? Infinity)) next[to] = { cost, lines: [...before.lines, line] };
      }
    }
    best2 = next;
  }
  return best2[total2]?.lines;
}
function advanceWith(style, known) {
  return (word) => {
    const key = `${style.tracking}|${word}`;
    let advance = known.get(key);
    if (advance === void 0) {
      const line = shapeLine(word, style.chain, style.tracking);
      known.set(key, advance = line.advance + style.tracking);
    }
    return advance;
  };
}

// core/type/setting.ts
function setAt(paragraph, size, width, mostLines = Infinity) {
  if (paragraph.empty || paragraph.widest * size > width + 0.5) return void 0;
  const lines = paragraph.balanced(width / size);
  return lines.length > mostLines ? void 0 : setLines(paragraph, lines, size);
}
function setToFit(paragraph, fit) {
  if (paragraph.empty) return void 0;
  let best2;
  const most = Math.min(fit.mostLines, paragraph.parts.length);
  for (let count = 1; count <= most; count++) {
    const measure = paragraph.measureFor(count);
    const size = Math.min(fit.max, fit.width / measure, fit.height / heightInEm(paragraph, count));
    if (size < fit.min) continue;
    const worth = size * paragraph.evenness(count);
    if (worth > (best2?.worth ?? 0) * 1.02) best2 = { size, measure, worth };
  }
  if (!best2) return void 0;
  return shrinkInto(setLines(paragraph, paragraph.balanced(best2.measure), best2.size), fit);
}
function heightInEm({ style }, lines) {
  return (lines - 1) * style.leading + style.chain[0].capHeight;
}
function setLines(paragraph, lines, size) {
  const shaped = lines.map((line) => paragraph.shape(line));
  const lineHeight = size * paragraph.style.leading;
  const ascent = shaped[0].top * size;
  const descent = shaped.at(-1).bottom * size;
  return {
    size,
    lines: shaped,
    lineHeight,
    width: Math.max(...shaped.map((line) => line.inkWidth)) * size,
    ascent,
    descent,
    height: ascent + (shaped.length - 1) * lineHeight + descent
  };
}
function shrinkInto(set, fit) {
  const share = Math.min(1, fit.width / set.width, fit.height / set.height);
  if (set.size * share < fit.min * 0.995) return void 0;
  return share === 1 ? set : scaleSet(set, share);
}
function scaleSet(set, by) {
  return {
    ...set,
    size: set.size * by,
    lineHeight: set.lineHeight * by,
    width: set.width * by,
    ascent: set.ascent * by,
    descent: set.descent * by,
    height: set.height * by
  };
}
var lastBaseline = (set) => set.height - set.descent;

// core/type/typesetter.ts
var MOST_PARAGRAPHS = 1e3;
var MOST_ADVANCES = 2e4;
var Typesetter = class {
  files = /* @__PURE__ */ new Map();
  chains = /* @__PURE__ */ new WeakMap();
  kept = /* @__PURE__ */ new WeakMap();
  /** Throws RangeError when the bytes are not a font with characters. */
  addFont(id, bytes) {
    if (this.files.has(id)) return;
    this.files.set(id, new FontFile(id, bytes));
    this.chains = /* @__PURE__ */ new WeakMap();
  }
  hasFont(id) {
    return this.files.has(id);
  }
  /**
   * The typeface's loaded faces, nearest weight first; ties keep the kit's order.
   * The same typeface and weight answer the same array, by which measured texts are kept.
   */
  chain(typeface, weight) {
    let byWeight = this.chains.get(typeface);
    if (!byWeight) this.chains.set(typeface, byWeight = /* @__PURE__ */ new Map());
    let chain = byWeight.get(weight);
    if (!chain) byWeight.set(weight, chain = this.nearest(typeface, weight));
    return chain;
  }
  paragraph(text2, style) {
    let kept = this.kept.get(style.chain);
    if (!kept) this.kept.set(style.chain, kept = { advances: /* @__PURE__ */ new Map(), paragraphs: /* @__PURE__ */ new Map() });
    const key = `${style.tracking}|${style.leading}|${style.case}|${text2}`;
    let paragraph = kept.paragraphs.get(key);
    if (!paragraph) {
      if (kept.paragraphs.size > MOST_PARAGRAPHS) kept.paragraphs.clear();
      if (kept.advances.size > MOST_ADVANCES) kept.advances.clear();
      paragraph = new Paragraph(text2, style, advanceWith(style, kept.advances));
      kept.paragraphs.set(key, paragraph);
    }
    return paragraph;
  }
  nearest(typeface, weight) {
    const distance2 = (face) => Math.abs(face.weight - weight);
    return [...typeface.faces].sort((a, b) => distance2(a) - distance2(b)).flatMap((face) => this.files.get(face.file)?.face(face.axes) ?? []);
  }
};

// core/refit/arranged.ts
var SAME_SHAPE = 0.03;
function asArranged(stage, leadWidth, leadHeight) {
  const scale = stage.frame.width / leadWidth;
  const shape2 = stage.frame.height / stage.frame.width / (leadHeight / leadWidth);
  if (Math.abs(shape2 - 1) > SAME_SHAPE) return void 0;
  const placed = [];
  for (const node of stage.resolved.nodes) {
    const target = node.fixed ?? scaleBox(node.box, scale);
    const item = placeIn(stage, node, target, scale, placed);
    if (!item) return void 0;
    placed.push(item);
  }
  turnGroups(placed);
  const isLead = stage.placement.id === stage.resolved.piece.lead;
  return isLead || holds(stage, placed) ? placed : void 0;
}
function placeIn(stage, node, target, scale, behind) {
  switch (node.type) {
    case "text":
      return placeText(stage, node, target, scale);
    case "picture":
      return { node, box: target, crop: cropTo(node.file, target, node.focus), turn: node.turn };
    case "shape":
      return { node, box: target, turn: node.turn };
    case "logo":
      return placeLogo(stage, node, target, behind);
  }
}
function placeText(stage, node, target, scale) {
  const room = node.plate ? insidePlate(node, target) : target;
  const display2 = node.paragraph.style.leading < 1.15;
  const wanted = (node.size ?? target.height / scale) * scale;
  const set = setToFit(node.paragraph, {
    width: room.width,
    height: room.height + (display2 ? 1 : 0.35 * wanted),
    // A size chosen below the floor is kept, and preflight says so.
    min: Math.min(stage.floor, wanted),
    max: wanted,
    mostLines: 12
  });
  if (!set) return void 0;
  const ink = alignedIn(room, set, node);
  return { node, box: node.plate ? target : ink, text: { set, ink }, turn: node.turn };
}
var insidePlate = (node, target) => {
  const pad = Math.min(target.height * 0.22, (node.plate?.padding ?? 0) * (node.size ?? target.height));
  return between(target.x + pad, target.y + pad, target.x + target.width - pad, target.y + target.height - pad);
};
function alignedIn(room, set, node) {
  const align = node.plate ? "centre" : node.align;
  const valign = node.plate ? "middle" : node.valign;
  const [h, v] = [{ left: 0, centre: 0.5, right: 1 }[align], { top: 0, middle: 0.5, bottom: 1 }[valign]];
  const baselineHeight = set.height - set.descent;
  const height = valign === "top" ? set.height : baselineHeight;
  return box(
    room.x + h * (room.width - set.width),
    room.y + v * (room.height - height),
    set.width,
    set.height
  );
}
function placeLogo(stage, node, target, behind) {
  const ground = groundBehind(target, behind, stage.resolved.palette.backdrop).mean;
  const wanted = logoFor(stage.resolved.brand, "full", ground) ?? logoFor(stage.resolved.brand, "mark", ground);
  const version2 = node.versions.find(({ logo }) => logo === wanted);
  if (!version2) return void 0;
  const ratio = version2.file.width / version2.file.height;
  const height = Math.min(target.height, target.width / ratio);
  return { node, box: box(target.x, target.y, height * ratio, height), logo: version2, turn: node.turn };
}
function turnGroups(placed) {
  const byId2 = new Map(placed.map((item) => [item.node.id, item]));
  for (const item of placed) {
    const ground = item.node.on === void 0 ? void 0 : byId2.get(item.node.on);
    if (!ground || ground.turn === 0 || item.turn !== 0) continue;
    item.turn = ground.turn;
    item.about = { x: ground.box.x + ground.box.width / 2, y: ground.box.y + ground.box.height / 2 };
  }
}
function holds(stage, placed) {
  const words = placed.filter((item) => item.text ?? item.logo);
  const inside = words.every((item) => contains(stage.kept, item.box));
  const apart2 = words.every((a, i) => words.slice(i + 1).every((b) => !overlaps(a.box, b.box)));
  return inside && apart2;
}

// core/refit/block.ts
function textBlock(node, set) {
  const { width, height } = set;
  return {
    width,
    height,
    baseline: lastBaseline(set),
    place: (x, y) => {
      const ink = box(x, y, width, height);
      return [{ node, box: ink, text: { set, ink }, turn: 0 }];
    }
  };
}
function buttonBlock(node, set) {
  const padding = (node.plate?.padding ?? 0) * set.size;
  const capHeight = node.paragraph.style.chain[0].capHeight * set.size;
  const lines = (set.lines.length - 1) * set.lineHeight;
  const width = set.width + 2.5 * padding;
  const height = capHeight + lines + 2 * padding;
  return {
    width,
    height,
    baseline: height,
    place: (x, y) => {
      const top = y + padding + capHeight - set.ascent;
      const ink = box(x + 1.25 * padding, top, set.width, set.height);
      return [{ node, box: box(x, y, width, height), text: { set, ink }, turn: 0 }];
    }
  };
}
function logoBlock(node, logo, height) {
  const width = height * logo.file.width / logo.file.height;
  return {
    width,
    height,
    baseline: height,
    place: (x, y) => [{ node, box: box(x, y, width, height), logo, turn: 0 }]
  };
}
function stack(blocks, gaps) {
  const tops = [];
  let height = 0;
  blocks.forEach((block, index) => {
    tops.push(height);
    height += block.height + (index < blocks.length - 1 ? gaps[index] : 0);
  });
  const last = blocks.at(-1);
  return {
    width: Math.max(0, ...blocks.map((block) => block.width)),
    height,
    baseline: last ? tops.at(-1) + last.baseline : 0,
    place: (x, y) => blocks.flatMap((block, index) => block.place(x, y + tops[index]))
  };
}
function ends(left, right2, width, gap) {
  if (left.width + gap + right2.width > width) return void 0;
  const height = Math.max(left.height, right2.height);
  return {
    width,
    height,
    baseline: height,
    place: (x, y) => [
      ...left.place(x, y + (height - left.height) / 2),
      ...right2.place(x + width - right2.width, y + (height - right2.height) / 2)
    ]
  };
}
function sideBySide(left, right2, at, topRight) {
  const height = Math.max(left.height, right2.height + left.height - left.baseline);
  const drop = Math.max(0, left.baseline - right2.baseline);
  return {
    width: at + right2.width,
    height,
    baseline: left.baseline,
    place: (x, y) => [
      ...left.place(x, y),
      ...right2.place(x + at, y + drop),
      ...topRight?.place(x + at, y) ?? []
    ]
  };
}
function topAndBottom(top, foot, height, gap) {
  if (top.height + gap + foot.height > height) return void 0;
  return {
    width: Math.max(top.width, foot.width),
    height,
    baseline: height,
    place: (x, y) => [...top.place(x, y), ...foot.place(x, y + height - foot.height)]
  };
}

// core/refit/words.ts
var LEAST_JUMP = 1.3;
var MOST_HEADLINE_LINES = 6;
function head({ stage, parts, width, height, size }) {
  const { kicker, headline } = parts;
  const above = kicker && setAt(kicker.paragraph, Math.max(stage.floor, 0.88 * size), width, 1);
  if (kicker && !above) return void 0;
  const gap = above ? size : 0;
  if (!headline) return above && textBlock(kicker, above);
  const set = setToFit(headline.paragraph, {
    width,
    height: height - (above?.height ?? 0) - gap,
    min: Math.max(stage.floor, LEAST_JUMP * size),
    max: stage.frame.height,
    mostLines: MOST_HEADLINE_LINES
  });
  if (!set) return void 0;
  const words = textBlock(headline, set);
  return above ? stack([textBlock(kicker, above), words], [gap]) : words;
}
function detailsBlock(room, details) {
  const blocks = [];
  for (const node of details) {
    const set = setAt(node.paragraph, room.size, room.width);
    if (!set) return void 0;
    blocks.push(textBlock(node, set));
  }
  return stack(blocks, gapsOf(blocks, 0.85 * room.size));
}
var gapsOf = (blocks, gap) => blocks.slice(1).map(() => gap);
function ctaBlock({ parts, width, size }) {
  if (!parts.cta) return void 0;
  const padding = 2.5 * (parts.cta.plate?.padding ?? 0) * size;
  const set = setAt(parts.cta.paragraph, size, width - padding, 2);
  return set && buttonBlock(parts.cta, set);
}
function panelLogo({ stage, parts, width }) {
  if (!parts.logo) return void 0;
  return logoOn(stage, parts, luminance(stage.resolved.palette.backdrop), 0.6 * width);
}
function logoOn(stage, parts, groundLuminance, mostWidth) {
  const node = parts.logo;
  if (!node) return void 0;
  const full = version(stage, parts, "full", groundLuminance);
  if (full) {
    const ratio = full.file.width / full.file.height;
    const wanted = FULL_HEIGHT * stage.extent;
    const height = Math.max(wanted, full.logo.leastWidth / stage.css / ratio);
    if (height <= 1.4 * wanted && height * ratio <= mostWidth) return logoBlock(node, full, height);
  }
  const mark = version(stage, parts, "mark", groundLuminance);
  return mark && logoBlock(node, mark, MARK_HEIGHT * stage.extent);
}
var FULL_HEIGHT = 0.055;
var MARK_HEIGHT = 0.105;
function version(stage, parts, kind, groundLuminance) {
  const wanted = logoFor(stage.resolved.brand, kind, groundLuminance);
  return parts.logo?.versions.find(({ logo }) => logo === wanted);
}
var stacked = (room) => {
  const foot = footStack(room);
  if (foot === false) return void 0;
  return underHead(room, room.parts.details, foot);
};
function footStack(room) {
  const cta = ctaBlock(room);
  const logo = panelLogo(room);
  if (room.parts.cta && !cta || room.parts.logo && !logo) return false;
  const blocks = [cta, logo].filter((block) => block !== void 0);
  return blocks.length > 0 ? stack(blocks, gapsOf(blocks, 1.4 * room.size)) : void 0;
}
var footLine = (room) => {
  const { parts } = room;
  const foot = footRow(room);
  if (!foot) return void 0;
  return underHead(room, foot.usesLast ? parts.details.slice(0, -1) : parts.details, foot.block);
};
function footRow(room) {
  const cta = ctaBlock(room);
  const logo = panelLogo(room);
  if (room.parts.cta && !cta || room.parts.logo && !logo) return void 0;
  const last = room.parts.details.at(-1);
  const gap = 2 * room.size;
  if (logo && cta) {
    const isMark = logo.width < 1.6 * logo.height;
    const block2 = isMark ? ends(cta, logo, room.width, gap) : ends(logo, cta, room.width, gap);
    return block2 && { block: block2, usesLast: false };
  }
  const right2 = cta ?? logo;
  if (!right2 || !last) return void 0;
  const set = setAt(last.paragraph, room.size, room.width - right2.width - gap, 1);
  const block = set && ends(textBlock(last, set), right2, room.width, gap);
  return block && { block, usesLast: true };
}
function underHead(room, details, foot) {
  const { size } = room;
  const lines = details.length > 0 ? detailsBlock(room, details) : void 0;
  if (details.length > 0 && !lines) return void 0;
  const below = [lines, foot].filter((block) => block !== void 0);
  const gaps = [1.5 * size, ...gapsOf(below, 1.5 * size)].slice(0, below.length);
  const taken = sum(below.map((block) => block.height)) + sum(gaps);
  const top = head({ ...room, height: room.height - taken });
  if (!top) return void 0;
  return below.length > 0 ? stack([top, ...below], gaps) : top;
}
var sum = (values) => values.reduce((a, b) => a + b, 0);
var twoColumns = (room) => {
  const { size, width } = room;
  const gutter = 2 * size;
  for (const column of [naturalColumn(room), 0.42 * width, 0.36 * width, 0.3 * width]) {
    if (column > MOST_SIDE_SHARE * width) continue;
    const side = sideColumn({ ...room, width: column });
    if (!side) continue;
    const left = head({ ...room, width: width - side.column.width - gutter });
    if (!left) continue;
    const used = side.column.height + (side.logo ? side.logo.height + 1.5 * size : 0);
    if (used > left.baseline) continue;
    return sideBySide(left, side.column, width - side.column.width, side.logo);
  }
  return void 0;
};
var MOST_SIDE_SHARE = 0.48;
function naturalColumn({ parts, size }) {
  const lines = parts.details.map(({ paragraph }) => paragraph.measureFor(paragraph.parts.length > 5 ? 2 : 1));
  const button = parts.cta ? parts.cta.paragraph.measureFor(1) + 2.5 * (parts.cta.plate?.padding ?? 0) : 0;
  return (Math.max(button, ...lines) + 0.05) * size;
}
function sideColumn(room) {
  const { parts, size } = room;
  const lines = detailsBlock(room, parts.details);
  const cta = ctaBlock(room);
  const logo = panelLogo({ ...room, width: room.width / 0.6 });
  if (!lines || parts.cta && !cta || parts.logo && !logo) return void 0;
  const blocks = [parts.details.length > 0 ? lines : void 0, cta].filter((b) => b !== void 0);
  if (blocks.length === 0) return void 0;
  const column = stack(blocks, gapsOf(blocks, 1.2 * size));
  const width = Math.max(column.width, logo?.width ?? 0);
  return width <= room.width ? { column: { ...column, width }, logo } : void 0;
}
var apart = (room) => {
  const { parts, size } = room;
  const row2 = footRow(room);
  const foot = row2?.block ?? footStack(room);
  if (!foot) return void 0;
  const gap = 1.5 * size;
  const details = row2?.usesLast ? parts.details.slice(0, -1) : parts.details;
  const top = underHead({ ...room, height: room.height - foot.height - gap }, details, void 0);
  return top && topAndBottom(top, foot, room.height, gap);
};
var wordLayouts = {
  "two columns": twoColumns,
  "foot line": footLine,
  stack: stacked,
  "head and foot": apart
};

// core/refit/bands.ts
var SHARES = [0.36, 0.42, 0.48, 0.54, 0.6];
function* pictureAbove(stage, parts, size) {
  if (!hasMedia(parts)) return;
  for (const onMedia of parts.logo && parts.photos.length > 0 ? [true, false] : [false]) {
    const { logo, ...bare } = parts;
    const inPanel = onMedia ? bare : { ...bare, ...logo ? { logo } : {} };
    for (const [name, layout] of Object.entries(wordLayouts)) {
      if (name === "head and foot") continue;
      for (const share of SHARES) {
        const top = Math.max(share * stage.frame.height + stage.padding, stage.kept.y);
        const region = between(stage.kept.x, top, stage.rightEdge, stage.bottomEdge);
        const block = layout(roomIn(stage, inPanel, region, size));
        if (!block) continue;
        const y = bottom(region) - block.height;
        yield {
          via: `picture above, ${name}`,
          parts,
          words: block.place(region.x, y),
          media: between(0, 0, stage.frame.width, y - stage.padding),
          logoOnMedia: onMedia,
          change: (parts.mediaFirst ? 0 : 1) + (onMedia === parts.logoOnMedia ? 0 : 0.5) + wide(stage)
        };
      }
    }
  }
}
function* pictureBetween(stage, parts, size) {
  if (!hasMedia(parts)) return;
  const { kept } = stage;
  const foot = footOf(roomIn(stage, parts, kept, size));
  if (!foot) return;
  const gaps = foot.block ? 2 * stage.padding : stage.padding;
  for (const share of [0.16, 0.22, 0.3, 0.4, 0.5]) {
    const height = kept.height - (foot.block?.height ?? 0) - gaps - share * Math.min(stage.frame.height, 1.4 * stage.frame.width);
    const top = topOf({ ...roomIn(stage, parts, kept, size), height }, foot.usesLast);
    if (!top) continue;
    const footTop = foot.block ? stage.bottomEdge - foot.block.height : stage.frame.height + stage.padding;
    const below = between(0, stage.bottomEdge + stage.padding, stage.frame.width, stage.frame.height);
    yield {
      via: "picture between",
      parts,
      words: [...top.place(kept.x, kept.y), ...foot.block?.place(kept.x, footTop) ?? []],
      media: between(0, kept.y + top.height + stage.padding, stage.frame.width, footTop - stage.padding),
      ...below.height > 0.08 * stage.frame.height ? { mediaAlso: below } : {},
      change: (parts.mediaFirst ? 1 : 0) + wide(stage)
    };
  }
}
function footOf(room) {
  const row2 = footRow(room);
  if (row2) return row2;
  if (!room.parts.cta && !room.parts.logo) return { usesLast: false };
  const block = footStack(room);
  return block ? { block, usesLast: false } : void 0;
}
function topOf(room, usesLast) {
  const details = usesLast ? room.parts.details.slice(0, -1) : room.parts.details;
  if (details.length === 0) return head(room);
  const lines = detailsBlock(room, details);
  if (!lines) return void 0;
  const gap = 1.5 * room.size;
  const top = head({ ...room, height: room.height - lines.height - gap });
  return top && stack([top, lines], [gap]);
}
function* wordsAlone(stage, parts, size) {
  const { photos: _photos, ornament: _ornament, ...rest } = parts;
  const bare = { ...rest, photos: [] };
  const alone = !hasMedia(parts);
  for (const layout of [wordLayouts["head and foot"], wordLayouts.stack, twoColumns]) {
    const block = layout(roomIn(stage, bare, stage.kept, size));
    if (!block) continue;
    const y = stage.kept.y + (stage.kept.height - block.height) * (layout === twoColumns ? 0.5 : 0);
    yield {
      via: "words alone",
      parts: bare,
      words: block.place(stage.kept.x, y),
      change: alone ? 0 : 2.5
    };
  }
}
var wide = (stage) => stage.ratio > 1.45 ? 2 : 0;
var hasMedia = (parts) => parts.photos.length > 0 || parts.ornament !== void 0;
var roomIn = (stage, parts, region, size) => ({
  stage,
  parts,
  size,
  width: right(region) - region.x,
  height: bottom(region) - region.y
});

// core/refit/columns.ts
var SHARES2 = [0.38, 0.44, 0.5, 0.56, 0.64];
var MOST_RATIO = 3.6;
var LEAST_MEDIA = 0.18;
function* columns(stage, parts, size) {
  if (!hasMedia(parts) || stage.ratio > MOST_RATIO) return;
  const { kept, frame } = stage;
  for (const share of SHARES2) {
    const width = Math.min(kept.width, share * frame.width);
    const region = between(kept.x, kept.y, kept.x + width, stage.bottomEdge);
    for (const name of ["head and foot", "stack"]) {
      const block = wordLayouts[name](roomIn(stage, parts, region, size));
      if (!block) continue;
      const y = name === "stack" ? region.y + (region.height - block.height) / 2 : region.y;
      for (const side of ["left", "right"]) {
        const x = side === "left" ? kept.x : right(kept) - block.width;
        const media = side === "left" ? between(x + block.width + stage.padding, 0, frame.width, frame.height) : between(0, 0, x - stage.padding, frame.height);
        if (media.width < LEAST_MEDIA * frame.width) continue;
        yield {
          via: `words ${side} of the picture`,
          parts,
          words: block.place(x, y),
          media,
          change: side === "left" ? 1 : 1.5
        };
      }
    }
  }
}

// core/refit/badge.ts
var BADGE_SHARE = 0.26;
var TRIES = [
  { share: BADGE_SHARE, lines: "all" },
  { share: 0.29, lines: "all" },
  { share: 0.32, lines: "all" },
  { share: BADGE_SHARE, lines: "first" },
  { share: 0.22, lines: "first" },
  { share: 0.18, lines: "first" }
];
var STEPS = 16;
function placeBadge(stage, badge, others, focus, ornament) {
  const turn = badge.plate.turn;
  const most = 0.86 * Math.min(stage.safe.height, stage.safe.width);
  const obstacles = [...others.map((item) => inset(item.box, -0.6 * stage.unit)), ...focus ? [focus] : []];
  for (const { share, lines } of TRIES) {
    const diameter = Math.min(share * stage.extent, most);
    const inside = lines === "all" ? badge.inside : badge.inside.slice(0, 1);
    const room = innerWords(stage, inside, diameter);
    if (!room) continue;
    const spot = bestSpot(stage.safe, diameter, obstacles, ornament);
    if (!spot) continue;
    const about = centre(spot);
    const words = room.place(about.x - room.width / 2, about.y - room.height / 2);
    return [
      { node: badge.plate, box: spot, turn },
      ...words.map((item) => ({ ...item, turn, about }))
    ];
  }
  return void 0;
}
function innerWords(stage, inside, diameter) {
  const [first, ...others] = inside;
  if (!first) return void 0;
  const width = 0.76 * diameter;
  const small = Math.max(stage.floor, 0.1 * diameter);
  const set = setToFit(first.paragraph, {
    width,
    height: (others.length > 0 ? 0.4 : 0.5) * diameter,
    min: stage.floor,
    max: diameter,
    mostLines: 1
  });
  const lines = others.map((node) => {
    const line = setAt(node.paragraph, small, 0.72 * diameter, 1);
    return line && centred(textBlock(node, line), width);
  });
  if (!set || lines.includes(void 0)) return void 0;
  const blocks = [centred(textBlock(first, set), width), ...lines.filter((l) => l !== void 0)];
  const whole = stack(blocks, others.map(() => 0.06 * diameter));
  return whole.height <= 0.62 * diameter ? whole : void 0;
}
var centred = (block, width) => ({
  ...block,
  width,
  place: (x, y) => block.place(x + (width - block.width) / 2, y)
});
function bestSpot(safe, diameter, obstacles, ornament) {
  let best2;
  for (let column = 0; column <= STEPS; column++) {
    for (let row2 = 0; row2 <= STEPS; row2++) {
      const x = safe.x + (safe.width - diameter) * column / STEPS;
      const y = safe.y + (safe.height - diameter) * row2 / STEPS;
      const spot = box(x, y, diameter, diameter);
      if (!contains(safe, spot) || obstacles.some((o) => overlaps(o, spot))) continue;
      const score = scoreOf2(spot, safe, obstacles, ornament);
      if (score > (best2?.score ?? -Infinity)) best2 = { spot, score };
    }
  }
  return best2?.spot;
}
function scoreOf2(spot, safe, obstacles, ornament) {
  const clear = Math.min(...obstacles.map((o) => distance(spot, o)), spot.width / 3) / spot.width;
  const onOrnament = ornament && overlaps(spot, ornament) ? 1 - offCentre(spot, ornament) : 0;
  const toTheRight = (centre(spot).x - safe.x) / safe.width;
  return 2 * clear + 0.8 * onOrnament + 0.5 * toTheRight;
}
function distance(a, b) {
  const dx = Math.max(0, a.x - right(b), b.x - right(a));
  const dy = Math.max(0, a.y - bottom(b), b.y - bottom(a));
  return Math.hypot(dx, dy);
}
function offCentre(spot, ornament) {
  const [a, b] = [centre(spot), centre(ornament)];
  const across = ornament.width >= ornament.height ? Math.abs(a.y - b.y) / ornament.height : Math.abs(a.x - b.x) / ornament.width;
  return Math.min(1, across * 2);
}

// core/refit/parts.ts
var RULING = ["headline", "quote", "figure"];
function readParts({ nodes }) {
  const badge = readBadge(nodes);
  const inBadge = new Set(badge ? [badge.plate.id, ...badge.inside.map((node) => node.id)] : []);
  const free = nodes.filter((node) => !inBadge.has(node.id));
  const texts = free.filter((node) => node.type === "text").sort(inReadingOrder);
  const headline = rulingText(texts);
  const kicker = texts.find((node) => node.role === "kicker");
  const cta = texts.find((node) => node.role === "cta");
  const details = texts.filter((node) => ![headline, kicker, cta].includes(node));
  const photos = free.filter((node) => node.type === "picture");
  const ornament = free.find((node) => node.type === "shape" && node.role === "ornament");
  const logo = free.find((node) => node.type === "logo");
  const media = photos[0] ?? ornament;
  return {
    photos,
    details,
    logoOnMedia: Boolean(logo && photos.some((photo) => contains(photo.box, logo.box))),
    mediaFirst: !media || !headline || startsAbove(media.box, headline.box),
    ...ornament?.type === "shape" ? { ornament } : {},
    ...kicker ? { kicker } : {},
    ...headline ? { headline } : {},
    ...cta ? { cta } : {},
    ...logo ? { logo } : {},
    ...badge ? { badge } : {}
  };
}
function rulingText(texts) {
  for (const role of RULING) {
    const found = texts.find((node) => node.role === role);
    if (found) return found;
  }
  const plain = texts.filter((node) => node.role !== "cta" && node.role !== "kicker");
  return plain.sort((a, b) => (b.size ?? 0) - (a.size ?? 0))[0];
}
function readBadge(nodes) {
  const plate = nodes.find((node) => node.type === "shape" && node.role === "badge");
  if (plate?.type !== "shape") return void 0;
  const inside = nodes.filter((node) => node.type === "text" && node.on === plate.id);
  return { plate, inside: inside.filter((node) => node.type === "text").sort(inReadingOrder) };
}
var startsAbove = (a, b) => centre(a).y < centre(b).y;
function inReadingOrder(a, b) {
  const apart2 = a.box.y >= bottom(b.box) || b.box.y >= bottom(a.box);
  return apart2 ? a.box.y - b.box.y : a.box.x - b.box.x || a.box.y - b.box.y;
}
function without(parts, dropped) {
  const keep = (node) => node && !dropped.has(node.id) ? node : void 0;
  const { ornament, kicker, headline, cta, logo, badge, ...rest } = parts;
  const kept = {
    ornament: keep(ornament),
    kicker: keep(kicker),
    headline: keep(headline),
    cta: keep(cta),
    logo: keep(logo),
    badge: badge && keep(badge.plate) ? badge : void 0
  };
  return {
    ...rest,
    photos: parts.photos.filter((node) => !dropped.has(node.id)),
    details: parts.details.filter((node) => !dropped.has(node.id)),
    ...Object.fromEntries(Object.entries(kept).filter(([, node]) => node !== void 0))
  };
}
function droppable(parts, keepIfRoom) {
  const { photos, ornament, kicker, details, cta, logo, badge } = parts;
  const all = [...photos, ornament, kicker, ...details, cta, logo, badge?.plate];
  const order = (node) => node.importance - (keepIfRoom.has(node.id) ? 10 : 0);
  return all.filter((node) => node !== void 0 && !node.always).sort((a, b) => order(a) - order(b));
}

// core/refit/cost.ts
var LEFT_OUT = [0, 0.16, 0.34, 0.8, 1.3, 6];
var RULING_SHARE = 0.15;
var RULING_SHARE_ALONE = 0.34;
var JUMP = 3;
var LEAST_JUMP2 = 1.6;
var MEDIA_SHARE = { from: 0.4, to: 0.6 };
var COMFORTABLE_LINES = 3;
var Costing = class {
  constructor(stage, all) {
    this.stage = stage;
    const inBadge = all.badge?.inside ?? [];
    const others = [...droppable(all, /* @__PURE__ */ new Set()), ...inBadge];
    const weights = new Map(others.map((node) => [node.id, LEFT_OUT[node.importance]]));
    if (all.headline) weights.set(all.headline.id, LEFT_OUT[5]);
    this.weights = weights;
  }
  stage;
  weights;
  of(draft, placed) {
    const headline = placed.find((item) => item.node === draft.parts.headline);
    const photo = placed.find((item) => item.node.type === "picture");
    const present = new Set(placed.map((item) => item.node.id));
    return {
      ...this.early(draft, headline, placed),
      leftOut: this.missing((id) => !present.has(id)),
      focus: photo?.node.type === "picture" ? 2.5 * (1 - focusShown(photo.crop, photo.node.focus)) : 0,
      empty: emptiness(this.stage, placed),
      badge: badgeCost(this.stage, placed)
    };
  }
  /** What a draft costs at the least, before its pictures are cropped and its badge is placed. */
  least(draft, leftOut2) {
    const headline = draft.words.find((item) => item.node === draft.parts.headline);
    return leftOut2 + total(this.early(draft, headline, draft.words));
  }
  /** The cost of the nodes that are missing. */
  missing(isMissing) {
    let sum2 = 0;
    for (const [id, weight] of this.weights) if (isMissing(id)) sum2 += weight;
    return sum2;
  }
  early(draft, headline, words) {
    return {
      ...NO_COST,
      dominance: dominance(this.stage, headline, draft.media !== void 0),
      jump: jump(words, headline),
      media: mediaCost(this.stage, draft, draft.parts.photos.length > 0),
      lines: 0.12 * Math.max(0, (headline?.text?.set.lines.length ?? 0) - COMFORTABLE_LINES),
      change: 0.2 * draft.change
    };
  }
};
var NO_COST = {
  leftOut: 0,
  dominance: 0,
  jump: 0,
  media: 0,
  focus: 0,
  empty: 0,
  lines: 0,
  change: 0,
  badge: 0
};
function total(terms) {
  const { leftOut: leftOut2, dominance: dominance2, jump: jump2, media, focus, empty, lines, change, badge } = terms;
  return leftOut2 + dominance2 + jump2 + media + focus + empty + lines + change + badge;
}
function dominance(stage, headline, beside) {
  if (!headline) return 1;
  const wanted = beside ? RULING_SHARE : RULING_SHARE_ALONE;
  const share = area(headline.box) / area(stage.frame);
  return 2 * Math.max(0, 1 - share / wanted);
}
function badgeCost(stage, placed) {
  const badge = placed.find((item) => item.node.role === "badge" && item.node.type === "shape");
  return badge ? 4 * Math.max(0, BADGE_SHARE - badge.box.width / stage.extent) : 0;
}
function jump(placed, headline) {
  const size = headline?.text?.set.size ?? 0;
  const plain = placed.filter(
    (item) => item.text && item !== headline && item.node.role !== "price"
  );
  const largest = Math.max(0, ...plain.map((item) => item.text.set.size));
  const ratio = size / largest;
  return largest === 0 ? 0 : 0.8 * Math.max(0, JUMP - ratio) + 3 * Math.max(0, LEAST_JUMP2 - ratio);
}
function mediaCost(stage, draft, isPhoto) {
  if (!draft.media) return 0;
  const share = area(draft.media) / area(stage.frame);
  if (!isPhoto) return share > 0.45 ? 2 * (share - 0.45) : 0;
  return 3 * Math.max(0, MEDIA_SHARE.from - share, share - MEDIA_SHARE.to);
}
function emptiness(stage, placed) {
  const covered = placed.filter((item) => item.node.role !== "backdrop").map((item) => intersect(item.box, stage.safe));
  const share = coverage(covered, stage.safe);
  return 1.2 * Math.max(0, 0.67 - share);
}
function coverage(boxes, frame) {
  const cells = 12;
  let hits = 0;
  for (let row2 = 0; row2 < cells; row2++) {
    for (let column = 0; column < cells; column++) {
      const x = frame.x + frame.width * (column + 0.5) / cells;
      const y = frame.y + frame.height * (row2 + 0.5) / cells;
      if (boxes.some((b) => x >= b.x && x <= b.x + b.width && y >= b.y && y <= b.y + b.height)) hits++;
    }
  }
  return hits / (cells * cells);
}

// core/refit/finish.ts
var CALM = 0.11;
function finish(stage, draft) {
  const media = draft.media ? placeMedia(draft, draft.media) : [];
  const words = [...draft.words];
  if (draft.logoOnMedia) {
    const logo = logoOnPicture(stage, draft, media);
    if (!logo) return void 0;
    words.push(...logo);
  }
  const { badge, ornament } = draft.parts;
  const photo = media.find((item) => item.node.type === "picture");
  const focus = photo && photoFocus(photo);
  const band = ornament && media.find((item) => item.node === ornament)?.box;
  const placedBadge = badge ? placeBadge(stage, badge, words, focus, band) ?? [] : [];
  return [...media, ...words, ...placedBadge];
}
function photoFocus(item) {
  if (item.node.type !== "picture" || !item.crop) return void 0;
  return focusInFrame(item.crop, item.node.focus, item.box);
}
function placeMedia(draft, media) {
  const { photos, ornament } = draft.parts;
  if (photos.length === 0) {
    const also = draft.mediaAlso ? { also: draft.mediaAlso } : {};
    return ornament ? [{ node: ornament, box: media, turn: 0, ...also }] : [];
  }
  return shares(media, photos.length).map((part, index) => cropped(photos[index], part));
}
var cropped = (node, part) => ({
  node,
  box: part,
  crop: cropTo(node.file, part, node.focus),
  turn: 0
});
function shares(media, count) {
  const wide2 = media.width >= media.height;
  return Array.from(
    { length: count },
    (_, i) => wide2 ? box(media.x + media.width * i / count, media.y, media.width / count, media.height) : box(media.x, media.y + media.height * i / count, media.width, media.height / count)
  );
}
function logoOnPicture(stage, draft, media) {
  for (const corner of ["left", "right"]) {
    for (const item of media) {
      const spot = trySpot(stage, draft, item, corner);
      if (spot) return spot;
    }
  }
  return void 0;
}
function trySpot(stage, draft, item, corner) {
  const { node, crop } = item;
  if (node.type !== "picture" || !crop) return void 0;
  const room = intersect(stage.kept, item.box);
  if (area(room) === 0) return void 0;
  for (const guess of [1, 0]) {
    const block = logoOn(stage, draft.parts, guess, 0.5 * room.width);
    if (!block) return void 0;
    const x = corner === "left" ? room.x : right(room) - block.width;
    const spot = box(x, room.y, block.width, block.height);
    if (!contains(room, spot) || bottom(spot) > bottom(room) - 0.5 * stage.unit) return void 0;
    const around = between(
      spot.x - 0.3 * block.height,
      spot.y - 0.3 * block.height,
      right(spot) + 0.3 * block.height,
      bottom(spot) + 0.3 * block.height
    );
    const tone = toneOf(node.file, inPicture(around, item.box, crop), node.treatment);
    const isLight = guess === 1;
    const worst = isLight ? tone.darkest : tone.lightest;
    const ink = isLight ? 0.02 : 0.85;
    if (tone.busy <= CALM && luminanceContrast(worst, ink) >= 3) return block.place(spot.x, spot.y);
  }
  return void 0;
}

// core/refit/stage.ts
var Stage = class {
  constructor(resolved, placement) {
    this.resolved = resolved;
    this.placement = placement;
    this.frame = frameOf(placement);
    this.safe = safeArea(placement);
    const kept = intersect(keptArea(placement, "headline"), keptArea(placement, "logo"));
    this.kept = area(kept) > 0 ? kept : this.safe;
    this.floor = legibilityFloor(placement);
    this.extent = Math.sqrt(area(this.frame));
    this.css = cssPerPixel(placement);
    this.unit = Math.max(1.04 * this.floor, 0.022 * this.extent + 5);
  }
  resolved;
  placement;
  frame;
  safe;
  /** Where headline and logo survive every crop. Text stands here too, so that edges stay shared. */
  kept;
  floor;
  /** Geometric mean of the sides: how large the frame is, whatever its shape. */
  extent;
  /** The size of running text, from which gaps are taken (½, 1, 2 and 4 times). */
  unit;
  css;
  /** Width over height of the part that can be used. */
  get ratio() {
    return this.kept.width / this.kept.height;
  }
  /** Between a picture's edge and words: two units, but no more than a little over the margin. */
  get padding() {
    return Math.min(2 * this.unit, Math.max(1.3 * this.placement.margin, this.unit));
  }
  /** The margins that the words keep on the right, seen from the frame. */
  get rightEdge() {
    return right(this.kept);
  }
  get bottomEdge() {
    return bottom(this.kept);
  }
};

// core/refit/strip.ts
var LEAST_RATIO = 2.6;
var TEXT_HEIGHT = 0.16;
var MEDIA = [
  [2.1, 0.26],
  [1.4, 0.2]
];
function* strip(stage, parts, text2) {
  if (stage.ratio < LEAST_RATIO) return;
  const size = Math.max(text2, TEXT_HEIGHT * stage.frame.height);
  for (const [byHeight, byWidth] of hasMedia(parts) ? MEDIA : []) {
    const width = Math.min(byHeight * stage.frame.height, byWidth * stage.frame.width);
    const from = width + stage.padding;
    const words2 = row(stage, parts, size, Math.max(from, stage.kept.x));
    if (!words2) continue;
    yield {
      via: "strip with picture",
      parts,
      words: words2,
      media: between(0, 0, width, stage.frame.height),
      change: 1
    };
  }
  const { ornament: _ornament, ...rest } = parts;
  const bare = { ...rest, photos: [] };
  const inner = Math.max(stage.kept.x, 0.16 * stage.frame.height);
  const words = row(stage, bare, size, inner);
  if (words) yield { via: "strip", parts: bare, words, change: 1 };
}
function row(stage, parts, size, from) {
  const { kept } = stage;
  const inner = Math.max(0, 0.16 * stage.frame.height - (stage.frame.width - stage.rightEdge));
  const gap = Math.max(2 * size, 0.22 * kept.height);
  const room = { stage, parts, size, width: stage.rightEdge - inner - from, height: kept.height };
  const rightHand = [];
  if (parts.cta) {
    const cta = ctaBlock(room);
    if (!cta || cta.height > kept.height) return void 0;
    rightHand.push(cta);
  }
  if (parts.logo) {
    const mark = version(stage, parts, "mark", luminance(stage.resolved.palette.backdrop));
    if (!mark) return void 0;
    rightHand.push(logoBlock(parts.logo, mark, Math.min(0.46 * stage.frame.height, kept.height)));
  }
  const taken = rightHand.reduce((sum2, block) => sum2 + block.width + gap, 0);
  const words = headAndLine({ ...room, width: room.width - taken });
  if (!words) return void 0;
  const middle = kept.y + kept.height / 2;
  const placed = words.place(from, middle - words.height / 2);
  let x = stage.rightEdge - inner;
  for (const block of rightHand.reverse()) {
    placed.push(...block.place(x - block.width, middle - block.height / 2));
    x -= block.width + gap;
  }
  return placed;
}
function headAndLine(room) {
  const { parts, size, stage } = room;
  const [detail] = parts.details;
  if (parts.kicker || parts.details.length > 1) return void 0;
  const line = detail && detailsBlock(room, [detail]);
  if (detail && !line) return void 0;
  const gap = line ? 0.6 * size : 0;
  if (!parts.headline) return line;
  const height = Math.min(room.height, 0.74 * stage.frame.height) - (line?.height ?? 0) - gap;
  const set = setToFit(parts.headline.paragraph, {
    width: room.width,
    height,
    min: Math.max(stage.floor, 1.15 * size),
    max: 0.62 * stage.frame.height,
    mostLines: 2
  });
  if (!set) return void 0;
  const words = textBlock(parts.headline, set);
  return line ? stack([words, line], [gap]) : words;
}

// core/refit/refit.ts
var GENERATORS = [pictureAbove, pictureBetween, columns, strip, wordsAlone];
function refit(resolved, placement) {
  const stage = new Stage(resolved, placement);
  const { placed, via, cost } = arranged(stage) ?? best(stage);
  return {
    resolved,
    placement,
    safe: stage.safe,
    floor: stage.floor,
    placed: withBackdrop(stage, placed),
    leftOut: leftOut(resolved, placed),
    via,
    cost
  };
}
function arranged(stage) {
  const lead = frameOf(placementById(stage.resolved.piece.lead));
  const placed = asArranged(stage, lead.width, lead.height);
  return placed && { placed, via: "as arranged", cost: NO_COST };
}
function best(stage) {
  const all = readParts(stage.resolved);
  const order = droppable(all, ifRoom(stage.resolved));
  const costing = new Costing(stage, all);
  let choice = { placed: [], via: "nothing fits", cost: { ...NO_COST, leftOut: Infinity } };
  for (let count = 0; count <= order.length; count++) {
    const dropped = new Set(order.slice(0, count).map((node) => node.id));
    const missing = costing.missing((id) => dropped.has(id));
    if (missing >= total(choice.cost)) break;
    choice = cheapest(stage, without(all, dropped), costing, missing, choice);
  }
  return choice;
}
function cheapest(stage, parts, costing, missing, soFar) {
  let choice = soFar;
  for (const generator of GENERATORS) {
    for (const draft of generator(stage, parts, stage.unit)) {
      if (costing.least(draft, missing) >= total(choice.cost)) continue;
      const placed = finish(stage, draft);
      if (!placed) continue;
      const cost = costing.of(draft, placed);
      if (total(cost) < total(choice.cost)) choice = { placed: inLayers(placed), via: draft.via, cost };
    }
  }
  return choice;
}
function ifRoom(resolved) {
  const nodes = resolved.piece.arrangement.filter((node) => node.keep === "if-room");
  return new Set(nodes.map((node) => node.id));
}
function withBackdrop(stage, placed) {
  const backdrop = stage.resolved.nodes.find((node) => node.role === "backdrop");
  if (!backdrop || placed.some((item) => item.node === backdrop)) return placed;
  return [{ node: backdrop, box: stage.frame, turn: 0 }, ...placed];
}
function inLayers(placed) {
  return [...placed].sort((a, b) => layer(a) - layer(b));
}
function layer({ node }) {
  if (node.role === "backdrop") return 0;
  if (node.type === "picture" || node.role === "ornament") return 1;
  return node.type === "shape" ? 2 : 3;
}
function leftOut(resolved, placed) {
  const present = new Set(placed.map((item) => item.node.id));
  const dropped = resolved.nodes.filter((node) => !present.has(node.id) && node.role !== "backdrop");
  return [
    ...dropped.map((node) => ({ id: node.id, why: whyDropped(node) })),
    ...resolved.absent.filter(({ why }) => why !== "empty").map(({ id, why }) => ({ id, why }))
  ];
}
var whyDropped = (node) => node.type === "shape" && node.role !== "badge" ? "not-for-this-shape" : "no-room";

// core/resolve/defaults.ts
var text = { type: "text", colour: "support", weight: 400, leading: 1.36, tracking: 0 };
var display = { type: "headline", colour: "headline", weight: 600, leading: 0.95, tracking: 0 };
var roleStyles = {
  headline: { ...display, importance: 5 },
  quote: { ...display, leading: 1.08, importance: 5 },
  figure: { ...display, importance: 4 },
  price: { ...display, colour: "on-action", importance: 4 },
  kicker: {
    ...text,
    colour: "detail",
    weight: 700,
    tracking: 0.1,
    case: "upper",
    importance: 1
  },
  support: { ...text, importance: 2 },
  body: { ...text, importance: 3 },
  byline: { ...text, weight: 600, importance: 3 },
  cta: { ...text, colour: "on-action", weight: 700, leading: 1.25, importance: 4 },
  handle: { ...text, weight: 500, importance: 2 },
  site: { ...text, weight: 500, importance: 2 },
  "page-mark": { ...text, weight: 500, importance: 1 },
  "swipe-cue": { ...text, weight: 500, importance: 1 },
  badge: { ...text, colour: "plate", importance: 4 },
  logo: { ...text, importance: 3 },
  photo: { ...text, importance: 4 },
  backdrop: { ...text, colour: "backdrop", importance: 5 },
  plate: { ...text, colour: "plate", importance: 2 },
  ornament: { ...text, colour: "ornament", importance: 2 }
};

// core/resolve/resolve.ts
var FOCUS_REACH = 0.12;
function resolve(piece, brand, placement, sources) {
  const palette = paletteOf(brand, piece.spread);
  const changes = piece.sizes.find((size) => size.placement === placement)?.changes ?? {};
  const result = { piece, brand, palette, nodes: [], absent: [], raw: [] };
  for (const lead of piece.arrangement) {
    const change = changes[lead.id];
    const node = change ? { ...lead, ...change, style: { ...lead.style, ...change.style } } : lead;
    const one = new OneNode(
      node,
      piece,
      brand,
      palette,
      sources,
      (hex) => result.raw.push({ node: node.id, hex })
    );
    const resolved = one.resolve();
    if (typeof resolved === "string") {
      result.absent.push({ id: node.id, role: node.role, why: resolved });
    } else {
      if (change?.box) resolved.fixed = change.box;
      result.nodes.push(resolved);
    }
  }
  return result;
}
var OneNode = class {
  constructor(node, piece, brand, palette, sources, onRaw) {
    this.node = node;
    this.piece = piece;
    this.brand = brand;
    this.palette = palette;
    this.sources = sources;
    this.onRaw = onRaw;
    this.defaults = roleStyles[node.role];
  }
  node;
  piece;
  brand;
  palette;
  sources;
  onRaw;
  defaults;
  resolve() {
    if (this.node.hidden) return "hidden";
    if (this.node.role === "logo") return this.logo();
    switch (this.node.kind) {
      case "text":
        return this.text();
      case "picture":
        return this.picture();
      case "shape":
        return this.shape();
      default:
        return "not-painted-yet";
    }
  }
  get common() {
    const { id, role, box: at, on, style } = this.node;
    return {
      id,
      role,
      box: at,
      ...on === void 0 ? {} : { on },
      importance: this.node.importance ?? this.defaults.importance,
      always: this.node.keep === "always",
      turn: style.turn ?? 0,
      opacity: style.opacity ?? 1
    };
  }
  colour(token) {
    const resolved = resolveColour(token, this.brand, this.palette);
    if (resolved.raw) this.onRaw(resolved.hex);
    return resolved.hex;
  }
  text() {
    const { style, slot } = this.node;
    const filling = slot ? this.piece.message[slot] : void 0;
    const text2 = isText(filling) ? filling.text.trim() : this.fromVoice();
    if (!text2) return "empty";
    const typeface = this.brand.typefaces[style.type ?? this.defaults.type];
    const weight = style.weight ?? this.defaults.weight;
    const display2 = (style.type ?? this.defaults.type) === "headline";
    const paragraph = this.sources.typesetter.paragraph(text2, {
      chain: this.sources.typesetter.chain(typeface, weight),
      case: style.case ?? this.defaults.case ?? typeface.case,
      tracking: style.tracking ?? (display2 ? typeface.tracking : this.defaults.tracking),
      leading: style.leading ?? (display2 ? typeface.leading : void 0) ?? this.defaults.leading
    });
    return {
      ...this.common,
      type: "text",
      text: text2,
      paragraph,
      colour: this.colour(style.colour ?? this.defaults.colour),
      weight,
      ...style.size === void 0 ? {} : { size: style.size },
      align: style.align ?? "left",
      valign: style.valign ?? "top",
      ...this.plate()
    };
  }
  /** A handle or site without a slot of its own is the brand's. */
  fromVoice() {
    if (this.node.role === "handle") return this.brand.voice.handle;
    if (this.node.role === "site") return this.brand.voice.site;
    return "";
  }
  plate() {
    const plate = this.node.style.plate ?? (this.node.role === "cta" ? { colour: "action" } : void 0);
    if (!plate) return {};
    const padding = plate.padding ?? 0.8;
    const corner = this.brand.defaults.corner;
    return { plate: { hex: this.colour(plate.colour), padding, corner } };
  }
  picture() {
    const filling = this.node.slot ? this.piece.message[this.node.slot] : void 0;
    if (!isPicture(filling)) return "empty";
    const file = this.sources.pictures(filling.picture);
    if (!file) return "file-missing";
    const treatment = this.brand.defaults.treatment;
    return { ...this.common, type: "picture", file, focus: focusArea(file, filling.focus), treatment };
  }
  logo() {
    const versions = this.brand.logos.flatMap((logo) => {
      const file = this.sources.pictures(logo.file);
      return file ? [{ logo, file }] : [];
    });
    if (versions.length === 0) return this.brand.logos.length > 0 ? "file-missing" : "empty";
    return { ...this.common, type: "logo", versions };
  }
  shape() {
    const { style } = this.node;
    return {
      ...this.common,
      type: "shape",
      shape: style.shape ?? "rectangle",
      colour: this.colour(style.colour ?? this.defaults.colour)
    };
  }
};
function focusArea(file, focus = { x: 0.5, y: 0.5 }) {
  const width = (focus.width ?? FOCUS_REACH * 2) * file.width;
  const height = (focus.height ?? FOCUS_REACH * 2) * file.height;
  const clamp2 = (value, most) => Math.min(Math.max(0, value), most);
  return box(
    clamp2(focus.x * file.width - width / 2, file.width - width),
    clamp2(focus.y * file.height - height / 2, file.height - height),
    width,
    height
  );
}

// core/scene/shapes.ts
var n = (value) => String(Math.round(value * 100) / 100);
function rectangle(b, radius = 0) {
  const r = Math.min(radius, b.width / 2, b.height / 2);
  if (r <= 0) return `M${n(b.x)} ${n(b.y)}H${n(right(b))}V${n(bottom(b))}H${n(b.x)}Z`;
  const arc = (x, y) => `A${n(r)} ${n(r)} 0 0 1 ${n(x)} ${n(y)}`;
  return [
    `M${n(b.x + r)} ${n(b.y)}H${n(right(b) - r)}${arc(right(b), b.y + r)}`,
    `V${n(bottom(b) - r)}${arc(right(b) - r, bottom(b))}`,
    `H${n(b.x + r)}${arc(b.x, bottom(b) - r)}`,
    `V${n(b.y + r)}${arc(b.x + r, b.y)}Z`
  ].join("");
}
function ellipse(b) {
  const [rx, ry] = [n(b.width / 2), n(b.height / 2)];
  const y = n(b.y + b.height / 2);
  return `M${n(b.x)} ${y}A${rx} ${ry} 0 1 1 ${n(right(b))} ${y}A${rx} ${ry} 0 1 1 ${n(b.x)} ${y}Z`;
}
var SINE_HANDLE = 0.3642;
function waves(b, extent) {
  const half = 0.086 * extent;
  const amplitude = 0.022 * extent;
  const spacing = 0.056 * extent;
  const strokeWidth = 0.0135 * extent;
  const rows = [];
  const first = b.y + amplitude + strokeWidth;
  for (let y = first; y < bottom(b) + amplitude; y += spacing) {
    const start = Math.floor(b.x / half) * half;
    let row2 = `M${n(start)} ${n(y)}`;
    let sign = Math.round(start / half) % 2 === 0 ? -1 : 1;
    for (let x = start; x < right(b); x += half, sign = -sign) {
      const peak = y + sign * amplitude * 1.47;
      row2 += `C${n(x + half * SINE_HANDLE)} ${n(peak)} ${n(x + half * (1 - SINE_HANDLE))} ${n(peak)} ${n(x + half)} ${n(y)}`;
    }
    rows.push(row2);
  }
  return { d: rows.join(""), strokeWidth };
}

// core/scene/compose.ts
function compose(layout) {
  const { width, height } = layout.placement;
  return {
    width,
    height,
    ground: layout.resolved.palette.backdrop,
    items: layout.placed.flatMap((placed) => itemsOf(placed, Math.sqrt(width * height)))
  };
}
function itemsOf(placed, extent) {
  const { node } = placed;
  switch (node.type) {
    case "text":
      return textItems(placed, node);
    case "picture":
      return [{ ...common(placed), ...pictureOf(node.file, placed.crop, placed.box), treatment: node.treatment }];
    case "logo": {
      const { file } = placed.logo;
      const whole = { x: 0, y: 0, width: file.width, height: file.height };
      return [{ ...common(placed), ...pictureOf(file, whole, placed.box), treatment: { kind: "none" } }];
    }
    case "shape":
      return [placed.box, placed.also].filter((part) => part !== void 0).map((box2) => shapeItem({ ...placed, box: box2 }, node.shape, node.colour, extent));
  }
}
function common({ node, turn, about, box: box2 }) {
  const base = { node: node.id, opacity: node.opacity };
  return turn === 0 ? base : { ...base, turn: { degrees: turn, about: about ?? centre(box2) } };
}
var pictureOf = (file, crop, box2) => ({
  kind: "picture",
  file: file.id,
  vector: file.vector,
  crop,
  box: box2
});
function shapeItem(placed, shape2, colour, extent) {
  const base = { ...common(placed), kind: "path" };
  if (shape2 === "waves") {
    const { d, strokeWidth } = waves(placed.box, extent);
    return { ...base, d, stroke: { hex: colour, width: strokeWidth }, clip: placed.box };
  }
  return { ...base, d: shape2 === "ellipse" ? ellipse(placed.box) : rectangle(placed.box), fill: colour };
}
function textItems(placed, node) {
  const items = [];
  const { set, ink } = placed.text;
  if (node.plate && area(placed.box) > 0) {
    const d = rectangle(placed.box, cornerRadius(node.plate.corner, placed.box));
    items.push({ ...common(placed), kind: "path", d, fill: node.plate.hex });
  }
  set.lines.forEach((line, index) => {
    const slack = ink.width - line.inkWidth * set.size;
    const x = ink.x + slack * alignShare(node);
    const baseline = ink.y + set.ascent + index * set.lineHeight;
    items.push({ ...common(placed), ...glyphsOf(line, set.size, x, baseline), colour: node.colour });
  });
  return items;
}
var alignShare = (node) => node.plate ? 0.5 : { left: 0, centre: 0.5, right: 1 }[node.align];
var glyphsOf = (line, size, x, baseline) => ({
  kind: "glyphs",
  text: line.text,
  size,
  glyphs: line.glyphs.flatMap((glyph) => {
    const outline = glyph.face.outline(glyph.glyph);
    const { unitsPerEm } = glyph.face;
    return outline ? [{ outline, unitsPerEm, x: x + glyph.x * size, y: baseline - glyph.y * size }] : [];
  })
});
function cornerRadius(corner, plate) {
  if (corner === "square") return 0;
  return corner === "soft" ? 0.16 * plate.height : plate.height / 2;
}

// core/scene/scene.ts
var scenePictures = (scene) => scene.items.filter((item) => item.kind === "picture");

// core/engine.ts
function makeScene(piece, brand, placement, sources) {
  const target = typeof placement === "string" ? placementById(placement) : placement;
  const resolved = resolve(piece, brand, target.id, sources);
  const layout = refit(resolved, target);
  return { layout, scene: compose(layout) };
}

// core/paint/canvas.ts
function paint(context, scene, materials, scale) {
  context.setTransform(scale, 0, 0, scale, 0, 0);
  context.globalAlpha = 1;
  context.fillStyle = scene.ground;
  context.fillRect(0, 0, scene.width, scene.height);
  for (const item of scene.items) {
    context.save();
    turnAbout(context, item);
    context.globalAlpha = item.opacity;
    if (item.kind === "path") paintPath(context, item, materials);
    else if (item.kind === "glyphs") paintGlyphs(context, item, materials);
    else paintPicture(context, item, materials);
    context.restore();
  }
}
function turnAbout(context, { turn }) {
  if (!turn) return;
  context.translate(turn.about.x, turn.about.y);
  context.rotate(turn.degrees * Math.PI / 180);
  context.translate(-turn.about.x, -turn.about.y);
}
function paintPath(context, item, materials) {
  if (item.clip) {
    context.beginPath();
    context.rect(item.clip.x, item.clip.y, item.clip.width, item.clip.height);
    context.clip();
  }
  const path = materials.path(item.d);
  if (item.fill) {
    context.fillStyle = item.fill;
    context.fill(path);
  }
  if (item.stroke) {
    context.strokeStyle = item.stroke.hex;
    context.lineWidth = item.stroke.width;
    context.lineJoin = "round";
    context.stroke(path);
  }
}
function paintGlyphs(context, item, materials) {
  context.fillStyle = item.colour;
  for (const glyph of item.glyphs) {
    const by = item.size / glyph.unitsPerEm;
    context.save();
    context.translate(glyph.x, glyph.y);
    context.scale(by, -by);
    context.fill(materials.path(glyph.outline));
    context.restore();
  }
}
function paintPicture(context, item, materials) {
  const bitmap = materials.picture(item);
  if (!bitmap) return;
  const { source, image } = bitmap;
  const { x, y, width, height } = item.box;
  context.drawImage(image, source.x, source.y, source.width, source.height, x, y, width, height);
}
function pathCache(parse2, most = 2e4) {
  const known = /* @__PURE__ */ new Map();
  return (d) => {
    let path = known.get(d);
    if (path === void 0) {
      if (known.size >= most) known.clear();
      known.set(d, path = parse2(d));
    }
    return path;
  };
}

// server/render/inspect.ts
import sharp from "sharp";
var MOST_SIDE = 16e3;
var TONES_WIDTH = 160;
var mimes = {
  jpeg: "image/jpeg",
  png: "image/png",
  webp: "image/webp",
  avif: "image/avif",
  heif: "image/avif",
  gif: "image/gif",
  tiff: "image/tiff",
  svg: "image/svg+xml"
};
var UNSAFE_SVG = [
  [/<script/i, "a script"],
  [/\son[a-z]+\s*=/i, "an event handler"],
  [/javascript:/i, "a script address"],
  [/<foreignObject/i, "foreign content"],
  [/<!ENTITY/i, "an entity"],
  [/(?:href|src)\s*=\s*["']\s*(?!#|data:image\/)[^"']/i, "a link to something outside the file"],
  [/url\(\s*["']?\s*(?!#|["']?data:image\/)[a-z/]/i, "a link to something outside the file"]
];
async function inspectPicture(bytes, name) {
  const metadata = await sharp(bytes, { limitInputPixels: false, failOn: "none" }).metadata().catch(() => void 0);
  const mime = metadata && mimes[metadata.format];
  if (!metadata || !mime) throw problem("picture-unreadable", { name });
  const vector = metadata.format === "svg";
  if (vector) refuseUnsafe(bytes.toString("utf8"), name);
  const turned = (metadata.orientation ?? 1) >= 5;
  const [width, height] = turned ? [metadata.height, metadata.width] : [metadata.width, metadata.height];
  if (width > MOST_SIDE || height > MOST_SIDE) {
    throw problem("picture-too-large", { name, width, height, most: MOST_SIDE });
  }
  const tones = await tonesOf(bytes, name);
  return { id: fileId(bytes), name, mime, width, height, vector, tones };
}
function refuseUnsafe(svg, name) {
  const hit = UNSAFE_SVG.find(([pattern]) => pattern.test(svg));
  if (hit) throw problem("picture-unsafe", { name, found: hit[1] });
}
async function tonesOf(bytes, name) {
  try {
    const { data, info } = await sharp(bytes, { failOn: "truncated" }).rotate().flatten({ background: "#ffffff" }).resize(TONES_WIDTH, TONES_WIDTH, { fit: "inside", withoutEnlargement: false }).greyscale().raw().toBuffer({ resolveWithObject: true });
    return readTones(new Uint8Array(data), info.width, info.height);
  } catch {
    throw problem("picture-truncated", { name });
  }
}

// server/render/rendition.ts
import sharp2 from "sharp";
async function render(bytes, request) {
  const { width, height, vector, treatment } = request;
  const source = vector ? await atSize(bytes, request) : await upright(bytes);
  const { data, info } = await source.image.extract(wholePixels(request.crop, source)).resize(width, height, { fit: "fill", kernel: "lanczos3" }).ensureAlpha().toColourspace("srgb").raw().toBuffer({ resolveWithObject: true });
  const pixels = new Uint8ClampedArray(data.buffer, data.byteOffset, data.byteLength);
  treat(pixels, treatment);
  return { data: pixels, width: info.width, height: info.height };
}
async function upright(bytes) {
  const { width, height, orientation = 1 } = await sharp2(bytes).metadata();
  const turned = orientation >= 5;
  const image = orientation === 1 ? sharp2(bytes) : sharp2(await sharp2(bytes).rotate().toBuffer());
  return { image, width: turned ? height : width, height: turned ? width : height, scale: 1 };
}
async function atSize(bytes, { crop, width }) {
  const scale = Math.max(1, width / crop.width);
  const density = Math.min(7200, 72 * scale);
  const image = sharp2(bytes, { density });
  const metadata = await image.metadata();
  return { image, width: metadata.width, height: metadata.height, scale: density / 72 };
}
function wholePixels(crop, { width, height, scale }) {
  const left = clamp(Math.round(crop.x * scale), 0, width - 1);
  const top = clamp(Math.round(crop.y * scale), 0, height - 1);
  return {
    left,
    top,
    width: clamp(Math.round(crop.width * scale), 1, width - left),
    height: clamp(Math.round(crop.height * scale), 1, height - top)
  };
}
var clamp = (value, least, most) => Math.min(Math.max(value, least), most);

// server/render/studio.ts
sharp3.concurrency(1);
var MOST_RENDITIONS = 48;
var Studio = class {
  constructor(files) {
    this.files = files;
  }
  files;
  typesetter = new Typesetter();
  pictures = /* @__PURE__ */ new Map();
  renditions = /* @__PURE__ */ new Map();
  path = pathCache((d) => new Path2D(d));
  /** Loads the brand's fonts and the pictures that are used, then makes the scene of one placement. */
  async make(piece, brand, placement) {
    await this.load(piece, brand);
    return makeScene(piece, brand, placement, {
      typesetter: this.typesetter,
      pictures: (id) => this.pictures.get(id)
    });
  }
  /** The scene as an encoded image, `scale` pixels for each of its pixels. */
  async encode(scene, format, scale) {
    const canvas = await this.paint(scene, scale);
    const image = sharp3(canvas.data(), {
      raw: { width: canvas.width, height: canvas.height, channels: 4 }
    }).removeAlpha();
    switch (format) {
      case "png":
        return image.png({ compressionLevel: 3, adaptiveFiltering: true }).toBuffer();
      case "jpeg":
        return image.jpeg({ quality: 90, optimiseCoding: false }).toBuffer();
      case "webp":
        return image.webp({ quality: 90 }).toBuffer();
    }
  }
  async paint(scene, scale) {
    const bitmaps = /* @__PURE__ */ new Map();
    for (const item of scenePictures(scene)) bitmaps.set(item, await this.rendition(item, scale));
    const canvas = createCanvas(Math.round(scene.width * scale), Math.round(scene.height * scale));
    const materials = { path: this.path, picture: (item) => bitmaps.get(item) };
    paint(canvas.getContext("2d"), scene, materials, scale);
    return canvas;
  }
  async load(piece, brand) {
    for (const id of brandFonts(brand)) {
      if (!this.typesetter.hasFont(id)) this.typesetter.addFont(id, await this.files.read(id));
    }
    const logos = brand.logos.map((logo) => logo.file);
    for (const id of [...logos, ...messagePictures(piece.message)]) {
      if (!this.pictures.has(id)) {
        this.pictures.set(id, await inspectPicture(await this.files.read(id), id));
      }
    }
  }
  async rendition(item, scale) {
    const width = Math.max(1, Math.round(item.box.width * scale));
    const height = Math.max(1, Math.round(item.box.height * scale));
    const { x, y, width: w, height: h } = item.crop;
    const key = [item.file, x, y, w, h, width, height, treatmentKey(item.treatment)].join("|");
    let bitmap = this.renditions.get(key);
    if (!bitmap) {
      const pixels = await render(await this.files.read(item.file), { ...item, width, height });
      const image = createCanvas(pixels.width, pixels.height);
      image.getContext("2d").putImageData(new ImageData(pixels.data, pixels.width, pixels.height), 0, 0);
      bitmap = { image, source: { x: 0, y: 0, width: pixels.width, height: pixels.height } };
      this.keep(key, bitmap);
    }
    return bitmap;
  }
  /** The oldest crop goes first: a batch asks for the same few again and again. */
  keep(key, bitmap) {
    const [oldest] = this.renditions.keys();
    if (this.renditions.size >= MOST_RENDITIONS && oldest !== void 0) this.renditions.delete(oldest);
    this.renditions.set(key, bitmap);
  }
};

// _prof.ts
var load = (b, p) => [Piece.parse(JSON.parse(readFileSync(`demo/${b}/pieces/${p}.json`, "utf8"))), Brand.parse(JSON.parse(readFileSync(`demo/${b}/brand.json`, "utf8")))];
var studio = new Studio(new FolderFiles(["demo"]));
for (const [b, p] of [["quillmere", "opening-announcement"], ["saltlight", "float-before-lunch"], ["quillmere", "family-workshop"]]) {
  const [piece, brand] = load(b, p);
  for (let k = 0; k < 30; k++) {
    const t0 = performance.now();
    const q = { ...piece, message: { ...piece.message, headline: { text: "Boats at rest".slice(0, 4 + k % 9) + k } } };
    for (const s of piece.sizes) await studio.make(q, brand, s.placement);
    console.log(p, k, (performance.now() - t0).toFixed(1));
  }
}
