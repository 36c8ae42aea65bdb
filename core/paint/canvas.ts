import type { Box } from "../geometry";
import type { GlyphsItem, PathItem, PictureItem, Scene, SceneItem } from "../scene";

/** The part of the Canvas 2D standard that is used; a browser's context and the server's both have it. */
export interface Context<Path, Image> {
  fillStyle: unknown;
  strokeStyle: unknown;
  lineWidth: number;
  lineJoin: string;
  globalAlpha: number;
  imageSmoothingEnabled: boolean;
  save(): void;
  restore(): void;
  setTransform(a: number, b: number, c: number, d: number, e: number, f: number): void;
  translate(x: number, y: number): void;
  rotate(radians: number): void;
  scale(x: number, y: number): void;
  beginPath(): void;
  rect(x: number, y: number, width: number, height: number): void;
  clip(): void;
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

/** A decoded, treated picture; `source` is the part of `image`, in its pixels, that fills the item's box. */
export interface Bitmap<Image> {
  image: Image;
  source: Box;
}

/** What painting needs of its surroundings. A picture that is not there yet is left unpainted. */
export interface Materials<Path, Image> {
  path(d: string): Path;
  picture(item: PictureItem): Bitmap<Image> | undefined;
}

/** Paints a scene at `scale` output pixels for each of its pixels. It decides nothing. */
export function paint<Path, Image>(
  context: Context<Path, Image>,
  scene: Scene,
  materials: Materials<Path, Image>,
  scale: number,
): void {
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

function turnAbout(context: Context<never, never>, { turn }: SceneItem): void {
  if (!turn) return;
  context.translate(turn.about.x, turn.about.y);
  context.rotate((turn.degrees * Math.PI) / 180);
  context.translate(-turn.about.x, -turn.about.y);
}

function paintPath<Path, Image>(
  context: Context<Path, Image>,
  item: PathItem,
  materials: Materials<Path, Image>,
): void {
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

function paintGlyphs<Path, Image>(
  context: Context<Path, Image>,
  item: GlyphsItem,
  materials: Materials<Path, Image>,
): void {
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

function paintPicture<Path, Image>(
  context: Context<Path, Image>,
  item: PictureItem,
  materials: Materials<Path, Image>,
): void {
  const bitmap = materials.picture(item);
  if (!bitmap) return;
  const { source, image } = bitmap;
  const { x, y, width, height } = item.box;
  context.drawImage(image, source.x, source.y, source.width, source.height, x, y, width, height);
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
