declare module "@tensorflow/tfjs-core/dist/public/chained_ops/register_all_chained_ops";

/** What of the detector is used here; its own types name packages of the browser. */
declare module "@vladmandic/face-api/dist/face-api.node-wasm.js" {
  import type { NamedTensorMap } from "@tensorflow/tfjs-core/dist/tensor_types";
  import type { Tensor3D } from "@tensorflow/tfjs-core";

  interface Net {
    loadFromWeightMap(weights: NamedTensorMap): void;
  }
  export const nets: { ssdMobilenetv1: Net; faceLandmark68TinyNet: Net };
  interface FaceWithLandmarks {
    detection: { score: number; box: { x: number; y: number; width: number; height: number } };
    landmarks: { positions: { x: number; y: number }[] };
  }
  export class SsdMobilenetv1Options {
    constructor(options: { minConfidence: number; maxResults: number });
  }
  export function detectAllFaces(
    picture: Tensor3D,
    options: SsdMobilenetv1Options,
  ): { withFaceLandmarks(tiny: true): Promise<FaceWithLandmarks[]> };
}
