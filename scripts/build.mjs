// Builds the interface (dist/web) and the server, worker and command line (dist/server).
import { rm } from "node:fs/promises";
import { join } from "node:path";
import { build } from "esbuild";
import { build as buildWeb } from "vite";
import { root } from "./setup.mjs";

// Parts are named after what is in them: those of earlier builds would stay for good.
await rm(join(root, "dist/server"), { recursive: true, force: true });
await build({
  entryPoints: {
    main: join(root, "server/main.ts"),
    worker: join(root, "server/render/worker.ts"),
    process: join(root, "server/imports/process.ts"),
    zest: join(root, "server/cli/zest.ts"),
  },
  outdir: join(root, "dist/server"),
  bundle: true,
  splitting: true,
  platform: "node",
  target: "node20",
  format: "esm",
  packages: "external",
  sourcemap: true,
  logLevel: "warning",
});
// The face detector comes as one file of its own, with no more of its tensor library than it needs.
await build({
  entryPoints: { faces: join(root, "server/faces/worker.ts") },
  outdir: join(root, "dist/server"),
  outExtension: { ".js": ".cjs" },
  bundle: true,
  platform: "node",
  target: "node20",
  format: "cjs",
  alias: { "@tensorflow/tfjs": join(root, "server/faces/tensors.ts") },
  logLevel: "error",
});
await buildWeb({ root: join(root, "web"), logLevel: "warn" });
