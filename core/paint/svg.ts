import type { Box } from "../geometry";
import { pixelBox } from "../picture";
import type {
  GlyphsItem,
  Paint,
  PathItem,
  Stroke,
  PictureItem,
  Scene,
  SceneItem,
  SceneRun,
  Shadow,
  Turn,
} from "../scene";

/** A developed picture as a `data:` address, and where it is painted, in the scene's pixels. */
export interface SvgPicture {
  href: string;
  box: Box;
}

/** What painting needs of its surroundings. With `font`, text stays text and the faces are built in. */
export interface SvgMaterials {
  picture(item: PictureItem): SvgPicture | undefined;
  /** The face's file as a `data:` address; undefined when it may not be built into other files. */
  font?(file: string): string | undefined;
}

/** Paints a scene as an SVG document (SVG 2), from the same list as the canvas. It decides nothing. */
export function paintSvg(scene: Scene, materials: SvgMaterials, scale = 1): string {
  const sheet = new Sheet(materials);
  const body = scene.items.map((item) => sheet.item(item)).join("\n");
  const { width, height, ground } = scene;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width * scale}" height="${height * scale}" viewBox="0 0 ${width} ${height}">`,
    sheet.head,
    `<rect width="${width}" height="${height}" fill="${ground}"/>`,
    body,
    "</svg>\n",
  ].join("\n");
}

const n = (value: number): string => String(Math.round(value * 1000) / 1000);

const escaped = (text: string): string =>
  text.replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;").replace(/"/g, "&quot;");

const turned = (inside: string, { degrees, about }: Turn): string =>
  `<g transform="rotate(${n(degrees)} ${n(about.x)} ${n(about.y)})">${inside}</g>`;

/** The document as it is written: what is defined once, and the items. */
class Sheet {
  private readonly definitions: string[] = [];
  private readonly outlines = new Map<string, string>();
  private readonly faces = new Map<string, string>();
  private count = 0;

  constructor(private readonly materials: SvgMaterials) {}

  get head(): string {
    const faces = [...this.faces.values()].join("");
    const style = faces ? `<style>${faces}</style>` : "";
    return `<defs>${style}${this.definitions.join("")}</defs>`;
  }

  /** A shadow falls the same way however its item is turned, so the turn is inside. */
  item(item: SceneItem): string {
    const inside = this.inside(item);
    return `<g${this.groupAttributes(item)}>${item.turn ? turned(inside, item.turn) : inside}</g>`;
  }

  private inside(item: SceneItem): string {
    switch (item.kind) {
      case "path":
        return this.path(item);
      case "glyphs":
        return this.text(item) ?? this.glyphs(item);
      case "picture":
        return this.picture(item);
    }
  }

  private groupAttributes({ opacity, blend, shadow }: SceneItem): string {
    return [
      opacity < 1 ? ` opacity="${n(opacity)}"` : "",
      blend ? ` style="mix-blend-mode:${blend}"` : "",
      shadow ? ` filter="url(#${this.shadow(shadow)})"` : "",
    ].join("");
  }

  private define(kind: string, make: (id: string) => string): string {
    const id = `${kind}${++this.count}`;
    this.definitions.push(make(id));
    return id;
  }

  /** A canvas counts blur as twice the Gaussian's standard deviation. */
  private shadow({ hex, alpha, x, y, blur }: Shadow): string {
    return this.define(
      "shadow",
      (id) =>
        `<filter id="${id}" x="-50%" y="-50%" width="200%" height="200%" color-interpolation-filters="sRGB">` +
        `<feDropShadow dx="${n(x)}" dy="${n(y)}" stdDeviation="${n(blur / 2)}" flood-color="${hex}" flood-opacity="${n(alpha)}"/></filter>`,
    );
  }

  private path({ d, fill, stroke, clip: wanted }: PathItem): string {
    const clip = wanted && pixelBox(wanted, 1);
    const cut = clip
      ? ` clip-path="url(#${this.define(
          "clip",
          (id) =>
            `<clipPath id="${id}"><rect x="${n(clip.x)}" y="${n(clip.y)}" width="${n(clip.width)}" height="${n(clip.height)}"/></clipPath>`,
        )})"`
      : "";
    const paint = fill ? ` fill="${this.paint(fill)}"` : ' fill="none"';
    return `<path d="${d}"${paint}${stroke ? strokeAttributes(stroke) : ""}${cut}/>`;
  }

  private paint(paint: Paint): string {
    if (paint.kind === "flat") return paint.hex;
    const stops = paint.stops
      .map(
        ({ at, hex, alpha }) =>
          `<stop offset="${n(at)}" stop-color="${hex}"${alpha < 1 ? ` stop-opacity="${n(alpha)}"` : ""}/>`,
      )
      .join("");
    const id = this.define("paint", (name) =>
      paint.kind === "linear"
        ? `<linearGradient id="${name}" gradientUnits="userSpaceOnUse" x1="${n(paint.from.x)}" y1="${n(paint.from.y)}" x2="${n(paint.to.x)}" y2="${n(paint.to.y)}">${stops}</linearGradient>`
        : `<radialGradient id="${name}" gradientUnits="userSpaceOnUse" cx="${n(paint.centre.x)}" cy="${n(paint.centre.y)}" r="${n(paint.radius)}">${stops}</radialGradient>`,
    );
    return `url(#${id})`;
  }

  /** Each outline is defined once and used wherever its letter stands. */
  private glyphs({ glyphs, size, colour, text }: GlyphsItem): string {
    const uses = glyphs.map((glyph) => {
      const by = size / glyph.unitsPerEm;
      const fill = glyph.colour
        ? ` fill="${glyph.colour.hex}"${glyph.colour.alpha < 1 ? ` fill-opacity="${n(glyph.colour.alpha)}"` : ""}`
        : "";
      return `<use href="#${this.outline(glyph.outline)}" transform="translate(${n(glyph.x)} ${n(glyph.y)}) scale(${by.toPrecision(8)} ${(-by).toPrecision(8)})"${fill}/>`;
    });
    return `<g fill="${colour}" role="img" aria-label="${escaped(text)}">${uses.join("")}</g>`;
  }

  private outline(d: string): string {
    let id = this.outlines.get(d);
    if (!id) {
      id = this.define("glyph", (name) => `<path id="${name}" d="${d}"/>`);
      this.outlines.set(d, id);
    }
    return id;
  }

  /** Text as text; undefined when it has to stay outlines: its faces cannot be built in, or it has two colours. */
  private text({ runs, baseline, size, colour }: GlyphsItem): string | undefined {
    const { font } = this.materials;
    if (!font || runs.length === 0) return undefined;
    const names = runs.map((run) => this.face(run, font));
    if (names.includes(undefined)) return undefined;
    const spans = runs.map((run, index) => {
      const axes = Object.entries(run.axes).map(([tag, value]) => `'${tag}' ${value}`);
      const variation = axes.length > 0 ? `;font-variation-settings:${axes.join(",")}` : "";
      const direction = run.rightToLeft ? ' direction="rtl" text-anchor="end"' : "";
      return (
        `<text x="${n(run.x)}" y="${n(baseline)}"${direction} textLength="${n(run.advance)}" xml:space="preserve"` +
        ` style="font-family:${names[index]};font-size:${n(size)}px${variation}">${escaped(run.text)}</text>`
      );
    });
    return `<g fill="${colour}">${spans.join("")}</g>`;
  }

  private face(run: SceneRun, font: NonNullable<SvgMaterials["font"]>): string | undefined {
    const name = `face-${run.file.slice(0, 12)}`;
    if (this.faces.has(name)) return name;
    const address = font(run.file);
    if (!address) return undefined;
    this.faces.set(name, `@font-face{font-family:${name};src:url(${address})}`);
    return name;
  }

  private picture(item: PictureItem): string {
    const picture = this.materials.picture(item);
    if (!picture) return "";
    const { frame } = item;
    const { x, y, width, height } = picture.box;
    const cut = frame
      ? ` clip-path="url(#${this.define("frame", (id) => `<clipPath id="${id}"><path d="${frame}"/></clipPath>`)})"`
      : "";
    return `<image href="${picture.href}" x="${n(x)}" y="${n(y)}" width="${n(width)}" height="${n(height)}" preserveAspectRatio="none"${cut}/>`;
  }
}

function strokeAttributes({ hex, width, dash, cap, join }: Stroke): string {
  const dashes = dash.length > 0 ? ` stroke-dasharray="${dash.map(n).join(" ")}"` : "";
  return ` stroke="${hex}" stroke-width="${n(width)}" stroke-linecap="${cap}" stroke-linejoin="${join}"${dashes}`;
}
