import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { setWasmPaths } from "@tensorflow/tfjs-backend-wasm";
import { io, ready, setBackend, tensor3d } from "@tensorflow/tfjs-core";
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
const MODEL = "ssd_mobilenetv1_model";

const require = createRequire(__filename);
let loading: Promise<void> | undefined;

/** The boxes of the faces in a picture, in its pixels, each with how sure it is. */
export default async function findFaces({ data, width, height }: Pixels): Promise<FoundFace[]> {
  await (loading ??= load());
  const picture = tensor3d(Int32Array.from(data), [height, width, 3], "int32");
  try {
    const options = new SsdMobilenetv1Options({ minConfidence: SURE, maxResults: MOST_FACES });
    const found = await detectAllFaces(picture, options);
    return found.map(({ score, box: { x, y, width, height } }) => ({
      ...{ x, y, width, height },
      sure: score,
    }));
  } finally {
    picture.dispose();
  }
}

async function load(): Promise<void> {
  setWasmPaths(`${dirname(require.resolve("@tensorflow/tfjs-backend-wasm"))}/`);
  await setBackend("wasm");
  await ready();
  const folder = join(dirname(require.resolve("@vladmandic/face-api/package.json")), "model");
  const [manifest, bytes] = await Promise.all([
    readFile(join(folder, `${MODEL}-weights_manifest.json`), "utf8"),
    readFile(join(folder, `${MODEL}.bin`)),
  ]);
  const groups = JSON.parse(manifest) as { weights: io.WeightsManifestEntry[] }[];
  const data = bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  const weights = io.decodeWeights(
    data,
    groups.flatMap((group) => group.weights),
  );
  nets.ssdMobilenetv1.loadFromWeightMap(weights);
}
