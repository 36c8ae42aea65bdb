import { LRUCache } from "lru-cache";
import type { Brand } from "../../core/brand";
import { fitLead, makeScenes, type Fitted, type Made } from "../../core/engine";
import { PictureFile, type FileId } from "../../core/files";
import { loadType, needsIcons, piecePictures } from "../../core/needs";
import { paint, pathCache } from "../../core/paint";
import { Cache } from "../../core/cache";
import { offer, offerStrip, type Offer } from "../../core/offers";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import { reportOf } from "../../core/preflight";
import type { Sources } from "../../core/resolve";
import type { Scene } from "../../core/scene";
import type { IconNode } from "../../core/shape";
import { isStrip, slideCount, slideOf } from "../../core/strip";
import type { Template } from "../../core/templates";
import { Typesetter } from "../../core/type";
import { Bitmaps } from "./bitmaps";
import type { Offered, OfferRequest, ShowRequest, Painted, Tile } from "./protocol";

/** What is known of a picture takes some 10 kB. */
const MOST_PICTURES = 2000;
/** About three rounds of looking through the templates. */
const MOST_FITTED = 150;

/** The engine off the main thread: makes scenes and paints them on the page's canvases. */
export class BrowserStudio {
  private readonly typesetter = new Typesetter();
  private readonly fonts = new Map<FileId, Promise<Uint8Array>>();
  private icons: Record<string, IconNode> = {};
  private readonly pictures = new LRUCache<FileId, PictureFile>({ max: MOST_PICTURES });
  private readonly asked = new Map<FileId, Promise<void>>();
  private readonly canvases = new Map<string, OffscreenCanvas>();
  private readonly scenes = new Map<string, { scene: Scene; tile: Tile }>();
  /** Tiles on which a picture is still a draft or missing. */
  private readonly unfinished = new Set<string>();
  /** Pieces as they begin, with what is painted of them: asked for again whenever templates are looked through. */
  private readonly fitted = new Cache<Fitted>(MOST_FITTED, () => 1);
  private readonly brands = new Map<string, Brand>();
  private readonly path = pathCache((d) => new Path2D(d));
  private readonly bitmaps = new Bitmaps(() => this.repaintSoon());
  private repaint: ReturnType<typeof setTimeout> | undefined;

  attach(key: string, canvas: OffscreenCanvas): void {
    this.canvases.set(key, canvas);
  }

  detach(key: string): void {
    this.canvases.delete(key);
    this.scenes.delete(key);
    this.unfinished.delete(key);
  }

  private async sources(piece: Piece, brand: Brand): Promise<Sources> {
    await Promise.all([
      loadType(piece, brand, this.typesetter, (id) => this.font(id)),
      ...piecePictures(piece, brand).map((id) => this.learnPicture(id)),
    ]);
    if (needsIcons(piece)) await this.loadIcons();
    return {
      typesetter: this.typesetter,
      pictures: (id) => this.pictures.get(id),
      icons: (name) => this.icons[name],
    };
  }

  async show({ piece, brand, tiles, fitted: wanted }: ShowRequest): Promise<Painted[]> {
    const same = this.known(brand);
    const sources = await this.sources(piece, same);
    const placements = tiles.map((tile) => tile.placement);
    const made: (Made & { piece?: Piece })[] = wanted
      ? await Promise.all(placements.map((at) => this.fit(piece, same, at, sources)))
      : makeScenes(piece, same, placements, sources);
    return tiles.map((tile, index) => {
      const { layout, scene, piece: fitted } = made[index]!;
      if (this.canvases.has(tile.key)) {
        this.scenes.set(tile.key, { scene, tile });
        this.paint(scene, tile);
      }
      return { key: tile.key, report: reportOf(layout), ...(fitted ? { fitted } : {}) };
    });
  }

  async offer({ brand, wanted }: OfferRequest): Promise<Offered[]> {
    const same = this.known(brand);
    const offered: Offered[] = [];
    for (const { template, piece, lead } of wanted) {
      const { cost, ground } = await this.offered(template, piece, same, lead);
      offered.push({ id: template.id, cost, ground });
    }
    return offered;
  }

  private async offered(
    template: Template,
    piece: Piece,
    brand: Brand,
    lead: Placement,
  ): Promise<Offer> {
    const slides: Fitted[] = [];
    for (let at = 0; at < slideCount(piece); at++) {
      const slide = slideOf(piece, at);
      const sources = await this.sources(slide, brand);
      const made = await this.fit(slide, brand, lead, sources);
      if (!isStrip(piece)) return offer(template, made, brand, sources);
      slides.push(made);
    }
    return offerStrip(template, piece, slides, brand);
  }

  private fit(piece: Piece, brand: Brand, placement: Placement, sources: Sources) {
    const key = JSON.stringify([piece, placement, brand]);
    return this.fitted.get(key, async () => fitLead(piece, brand, placement, sources));
  }

  async complete(): Promise<void> {
    await this.bitmaps.idle();
    if (this.repaint === undefined) return;
    clearTimeout(this.repaint);
    this.repaintAll();
  }

  /** A brand comes as a copy each time; the first copy is used, since measured texts are kept by it. */
  private known(brand: Brand): Brand {
    const key = JSON.stringify(brand);
    const same = this.brands.get(key);
    if (!same) this.brands.set(key, brand);
    return same ?? brand;
  }

  private async loadIcons(): Promise<void> {
    const set = await import("lucide-static/icon-nodes.json");
    this.icons = set.default as unknown as Record<string, IconNode>;
  }

  /** Asked for once, however many sizes wait for it. */
  private font(id: FileId): Promise<Uint8Array> {
    let loading = this.fonts.get(id);
    if (!loading) {
      loading = fetch(`/api/fonts/${id}`)
        .then((response) => response.arrayBuffer())
        .then((bytes) => new Uint8Array(bytes));
      // What has been read is with the typesetter, and what failed is tried again.
      void loading.catch(() => undefined).finally(() => this.fonts.delete(id));
      this.fonts.set(id, loading);
    }
    return loading;
  }

  /** One that is not there, or that cannot be asked for now, is left out, and asked for again with the next change. */
  private learnPicture(id: FileId): Promise<void> | undefined {
    if (this.pictures.has(id)) return undefined;
    let asking = this.asked.get(id);
    if (!asking) {
      asking = fetch(`/api/pictures/${id}`)
        .then((response) => (response.ok ? response.json() : undefined))
        .then((facts) => facts && this.pictures.set(id, PictureFile.parse(facts)))
        .catch(() => undefined)
        .then(() => void this.asked.delete(id));
      this.asked.set(id, asking);
    }
    return asking;
  }

  private paint(scene: Scene, tile: Tile): void {
    const canvas = this.canvases.get(tile.key);
    const context = canvas?.getContext("2d", { alpha: false });
    if (!canvas || !context) return;
    this.unfinished.delete(tile.key);
    const scale = tile.pixels / scene.width;
    const height = Math.max(1, Math.round(scene.height * scale));
    if (canvas.width !== tile.pixels || canvas.height !== height) {
      canvas.width = tile.pixels;
      canvas.height = height;
    }
    paint<Path2D, OffscreenCanvas>(
      context,
      scene,
      {
        path: this.path,
        picture: (item) => {
          const file = this.pictures.get(item.file);
          const bitmap = file && this.bitmaps.get(item, file, scale);
          if (file && !bitmap?.exact) this.unfinished.add(tile.key);
          return bitmap;
        },
      },
      scale,
    );
  }

  /** Several pictures often arrive together; the tiles are painted once for them. */
  private repaintSoon(): void {
    this.repaint ??= setTimeout(() => this.repaintAll(), 16);
  }

  private repaintAll(): void {
    this.repaint = undefined;
    for (const key of [...this.unfinished]) {
      const shown = this.scenes.get(key);
      if (shown) this.paint(shown.scene, shown.tile);
    }
  }
}
