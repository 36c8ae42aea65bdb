/* All that the detector needs of its tensor library; the build puts this in the place of the far larger whole of it. */
import "@tensorflow/tfjs-core/dist/public/chained_ops/register_all_chained_ops";
export * from "@tensorflow/tfjs-core";
