import { Piscina } from "piscina";
import sharp from "sharp";
import type { Area, PictureFile } from "../../core/files";
import { rgbOf } from "../render/inspect";
import type { Box } from "../../core/geometry";

/** RGB, three bytes a pixel, row after row. */
export interface Pixels {
  data: Uint8Array;
  width: number;
  height: number;
}

/** In pixels; `sure` 0..1, `look` −1 to the left of the picture … 1 to its right. */
export interface FoundFace extends Box {
  sure: number;
  look: number;
}

/** Finds the faces in pictures. Its answer is undefined where it cannot say. */
export interface FaceFinder {
  /** Whether it can look at all. */
  readonly available: boolean;
  /** `picture` is an encoded one, or the path of one. */
  find(picture: Buffer | string): Promise<Area[] | undefined>;
  close(): Promise<void>;
}

/** Where nobody looks for faces. */
export const NO_FACES: FaceFinder = {
  available: false,
  find: () => Promise.resolve(undefined),
  close: () => Promise.resolve(),
};

/** Pictures are looked at with their longer side this long: a face in a group of twenty is still some pixels. */
const SIDE = 800;
/** The detector and its memory are given back after so many milliseconds without a picture. */
const IDLE = 20_000;
/** So many pictures wait at most; what comes on top is looked at for things only. */
const MOST_WAITING = 500;

/** A thread of its own, so that no edit waits for a picture that is looked at; it is there only while it is needed. */
export class FacePool implements FaceFinder {
  private readonly pool: Piscina<Pixels, FoundFace[]>;
  private readonly broken = new AbortController();

  constructor(worker: { filename: string; execArgv?: string[] }) {
    this.pool = new Piscina({
      ...worker,
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: IDLE,
      maxQueue: MOST_WAITING,
    });
    // A thread that cannot start would be started again for ever.
    this.pool.on("error", () => {
      this.broken.abort();
      this.pool.destroy().catch(() => undefined);
    });
  }

  get available(): boolean {
    return !this.broken.signal.aborted;
  }

  async find(picture: Buffer | string): Promise<Area[] | undefined> {
    if (!this.available) return undefined;
    const { signal } = this.broken;
    try {
      const { data, info } = await sharp(picture, { failOn: "none" })
        .rotate()
        .flatten({ background: "#ffffff" })
        .toColourspace("srgb")
        .resize(SIDE, SIDE, { fit: "inside", withoutEnlargement: true })
        .raw()
        .toBuffer({ resolveWithObject: true });
      const { width, height, channels } = info;
      const pixels = { data: rgbOf(data, channels), width, height };
      const found = await this.pool.run(pixels, { signal });
      return found.map((face) => areaOf(face, info));
    } catch {
      // The detector is a help: where it cannot run, what stands out in the picture has to do.
      return undefined;
    }
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}

function areaOf(face: FoundFace, { width, height }: { width: number; height: number }): Area {
  const share = (value: number, of: number) => Math.min(1, Math.max(0, value / of));
  const rounded = (value: number) => Math.round(value * 1000) / 1000;
  const [left, top] = [share(face.x, width), share(face.y, height)];
  return {
    kind: "face",
    x: rounded(left),
    y: rounded(top),
    width: rounded(share(face.x + face.width, width) - left),
    height: rounded(share(face.y + face.height, height) - top),
    weight: rounded(face.sure),
    look: rounded(face.look),
  };
}

/** A picture with the faces that were found in it; as it is where they could not be looked for. */
export function withFaces(picture: PictureFile, faces: readonly Area[] | undefined): PictureFile {
  if (!faces) return picture;
  const others = (picture.areas ?? []).filter(({ kind }) => kind !== "face");
  return { ...picture, areas: [...faces, ...others], facesSought: true };
}
