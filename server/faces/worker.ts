import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { setWasmPaths } from "@tensorflow/tfjs-backend-wasm";
import { io, ready, setBackend, tensor3d, type NamedTensorMap } from "@tensorflow/tfjs-core";
import {
  detectAllFaces,
  nets,
  SsdMobilenetv1Options,
} from "@vladmandic/face-api/dist/face-api.node-wasm.js";
import type { FoundFace, Pixels } from "./pool";

/*
 * A thread that finds faces. The detector is a single shot network on MobileNet whose weights lie in its package; nothing
 * is fetched or sent, and it tells where a face is, never whose. The thread ends when it is idle, and gives all back.
 */

/** What is less sure than this to be a face may be a leaf or a knot in wood. By trial on photographs. */
const SURE = 0.6;
const MOST_FACES = 40;
const DETECTOR = "ssd_mobilenetv1_model";
const LANDMARKS = "face_landmark_68_tiny_model";

const require = createRequire(__filename);
let loading: Promise<void> | undefined;

/** The boxes of the faces in a picture, in its pixels, each with how sure it is. */
export default async function findFaces({ data, width, height }: Pixels): Promise<FoundFace[]> {
  await (loading ??= load());
  const picture = tensor3d(Int32Array.from(data), [height, width, 3], "int32");
  try {
    const options = new SsdMobilenetv1Options({ minConfidence: SURE, maxResults: MOST_FACES });
    const found = await detectAllFaces(picture, options).withFaceLandmarks(true);
    return found.map(
      ({
        detection: {
          score,
          box: { x, y, width, height },
        },
        landmarks,
      }) => ({
        ...{ x, y, width, height },
        sure: score,
        look: lookOf(landmarks.positions),
      }),
    );
  } finally {
    picture.dispose();
  }
}

/** The usual 68 landmarks of a face: both ends of the line of the jaw, and the tip of the nose. */
const JAW = [0, 16] as const;
const NOSE = 30;

/** Where a face looks: −1 all the way to the left of the picture, 0 at the camera, 1 to the right. */
function lookOf(points: readonly { x: number; y: number }[]): number {
  const [left, right] = JAW.map((index) => points[index]!.x) as [number, number];
  const half = Math.max(1, (right - left) / 2);
  return Math.max(-1, Math.min(1, (points[NOSE]!.x - (left + right) / 2) / half));
}

async function load(): Promise<void> {
  setWasmPaths(`${dirname(require.resolve("@tensorflow/tfjs-backend-wasm"))}/`);
  await setBackend("wasm");
  await ready();
  nets.ssdMobilenetv1.loadFromWeightMap(await weightsOf(DETECTOR));
  nets.faceLandmark68TinyNet.loadFromWeightMap(await weightsOf(LANDMARKS));
}

async function weightsOf(model: string): Promise<NamedTensorMap> {
  const folder = join(dirname(require.resolve("@vladmandic/face-api/package.json")), "model");
  const [manifest, bytes] = await Promise.all([
    readFile(join(folder, `${model}-weights_manifest.json`), "utf8"),
    readFile(join(folder, `${model}.bin`)),
  ]);
  const groups = JSON.parse(manifest) as { weights: io.WeightsManifestEntry[] }[];
  const data = bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  return io.decodeWeights(
    data,
    groups.flatMap((group) => group.weights),
  );
}
