import type { Box, Point } from "../geometry";
import { pixelBox } from "../picture";
import type {
  GlyphsItem,
  Paint,
  PathItem,
  Stroke,
  PictureItem,
  Scene,
  SceneItem,
  Shadow,
} from "../scene";

interface CanvasPattern {
  setTransform(matrix: { a: number; b: number; c: number; d: number; e: number; f: number }): void;
}

interface CanvasGradient {
  addColorStop(at: number, colour: string): void;
}

/** The part of the Canvas 2D standard that is used; a browser's context and the server's both have it. */
export interface Context<Path, Image> {
  fillStyle: unknown;
  strokeStyle: unknown;
  lineWidth: number;
  lineJoin: string;
  lineCap: string;
  globalAlpha: number;
  globalCompositeOperation: string;
  shadowColor: string;
  shadowBlur: number;
  shadowOffsetX: number;
  shadowOffsetY: number;
  save(): void;
  restore(): void;
  setTransform(a: number, b: number, c: number, d: number, e: number, f: number): void;
  translate(x: number, y: number): void;
  rotate(radians: number): void;
  scale(x: number, y: number): void;
  setLineDash(lengths: number[]): void;
  createLinearGradient(x0: number, y0: number, x1: number, y1: number): CanvasGradient;
  createRadialGradient(
    x0: number,
    y0: number,
    r0: number,
    x1: number,
    y1: number,
    r1: number,
  ): CanvasGradient;
  beginPath(): void;
  rect(x: number, y: number, width: number, height: number): void;
  clip(): void;
  createPattern(image: Image, repetition: "no-repeat"): CanvasPattern | null;
  fill(path: Path): void;
  stroke(path: Path): void;
  fillRect(x: number, y: number, width: number, height: number): void;
  drawImage(
    image: Image,
    sx: number,
    sy: number,
    sw: number,
    sh: number,
    dx: number,
    dy: number,
    dw: number,
    dh: number,
  ): void;
}

/**
 * A developed picture: the part `source` of `image`, in its pixels, is painted on `at`, in output pixels.
 */
export interface Bitmap<Image> {
  image: Image;
  source: Box;
  at: Box;
}

/** What painting needs of its surroundings. A picture that is not there yet is left unpainted. */
export interface Materials<Path, Image> {
  path(d: string): Path;
  picture(item: PictureItem): Bitmap<Image> | undefined;
}

/**
 * Paints a scene at `scale` output pixels for each of its pixels, from the top left or from a whole output pixel of a
 * larger page. It decides nothing.
 */
export function paint<Path, Image>(
  context: Context<Path, Image>,
  scene: Scene,
  materials: Materials<Path, Image>,
  scale: number,
  from?: Point,
): void {
  const { x, y } = from ?? { x: 0, y: 0 };
  // Up to the last output pixel: one that is covered in part would keep something of what was there before.
  const [width, height] = [Math.ceil(scene.width * scale), Math.ceil(scene.height * scale)];
  context.save();
  context.setTransform(1, 0, 0, 1, x, y);
  if (from) {
    context.beginPath();
    context.rect(0, 0, width, height);
    context.clip();
  }
  context.globalAlpha = 1;
  context.fillStyle = scene.ground;
  context.fillRect(0, 0, width, height);
  context.setTransform(scale, 0, 0, scale, x, y);
  for (const item of scene.items) {
    context.save();
    turnAbout(context, item);
    context.globalAlpha = item.opacity;
    if (item.blend) context.globalCompositeOperation = item.blend;
    if (item.shadow) castShade(context, item.shadow, scale);
    if (item.kind === "path") paintPath(context, item, materials, scale);
    else if (item.kind === "glyphs") paintGlyphs(context, item, materials);
    else paintPicture(context, item, materials, scale);
    context.restore();
  }
  context.restore();
}

function turnAbout(context: Context<never, never>, { turn }: SceneItem): void {
  if (!turn) return;
  context.translate(turn.about.x, turn.about.y);
  context.rotate((turn.degrees * Math.PI) / 180);
  context.translate(-turn.about.x, -turn.about.y);
}

/** The standard counts a shadow's lengths in output pixels, whatever the transform. */
function castShade(context: Context<never, never>, shadow: Shadow, scale: number): void {
  context.shadowColor = withAlpha(shadow.hex, shadow.alpha);
  context.shadowBlur = shadow.blur * scale;
  context.shadowOffsetX = shadow.x * scale;
  context.shadowOffsetY = shadow.y * scale;
}

/** A hex colour with its alpha as two more digits, which the standard reads. */
export function withAlpha(hex: string, alpha: number): string {
  if (alpha >= 1) return hex;
  return (
    hex +
    Math.round(alpha * 255)
      .toString(16)
      .padStart(2, "0")
  );
}

function styleOf(context: Context<never, never>, paint: Paint): unknown {
  if (paint.kind === "flat") return paint.hex;
  const gradient =
    paint.kind === "linear"
      ? context.createLinearGradient(paint.from.x, paint.from.y, paint.to.x, paint.to.y)
      : context.createRadialGradient(
          paint.centre.x,
          paint.centre.y,
          0,
          paint.centre.x,
          paint.centre.y,
          paint.radius,
        );
  for (const { at, hex, alpha } of paint.stops) gradient.addColorStop(at, withAlpha(hex, alpha));
  return gradient;
}

function paintPath<Path, Image>(
  context: Context<Path, Image>,
  item: PathItem,
  materials: Materials<Path, Image>,
  scale: number,
): void {
  if (item.clip) clipTo(context, pixelBox(item.clip, scale), scale);
  const path = materials.path(item.d);
  if (item.fill) {
    context.fillStyle = styleOf(context, item.fill);
    context.fill(path);
  }
  if (!item.stroke) return;
  // What is filled has cast its shadow already; a stroke's would fall on it.
  if (item.fill) context.shadowColor = "#00000000";
  takeStroke(context, item.stroke);
  context.stroke(path);
}

/** A clip lies on whole output pixels: painters soften an edge between two in ways of their own. */
function clipTo(context: Context<never, never>, { x, y, width, height }: Box, scale: number): void {
  context.scale(1 / scale, 1 / scale);
  context.beginPath();
  context.rect(x, y, width, height);
  context.clip();
  context.scale(scale, scale);
}

function takeStroke(context: Context<never, never>, { hex, width, dash, cap, join }: Stroke): void {
  context.strokeStyle = hex;
  context.lineWidth = width;
  context.lineJoin = join;
  context.lineCap = cap;
  context.setLineDash(dash);
}

function paintGlyphs<Path, Image>(
  context: Context<Path, Image>,
  item: GlyphsItem,
  materials: Materials<Path, Image>,
): void {
  context.fillStyle = item.colour;
  for (const { outline, unitsPerEm, x, y, colour } of item.glyphs) {
    const by = item.size / unitsPerEm;
    context.save();
    if (colour) context.fillStyle = withAlpha(colour.hex, colour.alpha);
    context.translate(x, y);
    context.scale(by, -by);
    context.fill(materials.path(outline));
    context.restore();
  }
}

/** Pictures lie on whole output pixels, one of theirs on each, so the transform is taken off again. */
function paintPicture<Path, Image>(
  context: Context<Path, Image>,
  item: PictureItem,
  materials: Materials<Path, Image>,
  scale: number,
): void {
  const bitmap = materials.picture(item);
  if (!bitmap) return;
  const { source, image, at } = bitmap;
  if (item.frame) {
    // Filled with the picture rather than clipped to the shape: a fill's edge is the same everywhere.
    context.fillStyle = patternOf(context, bitmap, scale);
    context.fill(materials.path(item.frame));
    return;
  }
  context.scale(1 / scale, 1 / scale);
  context.drawImage(
    image,
    source.x,
    source.y,
    source.width,
    source.height,
    at.x,
    at.y,
    at.width,
    at.height,
  );
}

function patternOf<Path, Image>(
  context: Context<Path, Image>,
  { image, source, at }: Bitmap<Image>,
  scale: number,
): CanvasPattern | null {
  const pattern = context.createPattern(image, "no-repeat");
  const [a, d] = [at.width / source.width / scale, at.height / source.height / scale];
  pattern?.setTransform({
    a,
    b: 0,
    c: 0,
    d,
    e: at.x / scale - source.x * a,
    f: at.y / scale - source.y * d,
  });
  return pattern;
}

/** Keeps parsed paths: a glyph's outline is painted again and again. */
export function pathCache<Path>(parse: (d: string) => Path, most = 20_000): (d: string) => Path {
  const known = new Map<string, Path>();
  return (d) => {
    let path = known.get(d);
    if (path === undefined) {
      if (known.size >= most) known.clear();
      known.set(d, (path = parse(d)));
    }
    return path;
  };
}
