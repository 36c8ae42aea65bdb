import { fileURLToPath } from "node:url";
import vue from "@vitejs/plugin-vue";
import { defineConfig } from "vite";
import { tokenSheet } from "./theme/tokens.ts";

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  root: here("."),
  plugins: [
    vue(),
    { name: "tokens", transformIndexHtml: () => [{ tag: "style", children: tokenSheet() }] },
  ],
  // HarfBuzz's loader asks for Node's `module` although it never uses it in a browser.
  resolve: { alias: { module: here("./wall/no-module.ts") } },
  worker: {
    format: "es",
  },
  build: {
    outDir: here("../dist/web"),
    emptyOutDir: true,
    target: "es2023",
    manifest: true,
    chunkSizeWarningLimit: 900,
    // What most views need comes in one file instead of in sixty small ones.
    rolldownOptions: {
      // Nothing in core does anything by being imported: the typesetter stays with the workers that use it.
      treeshake: { moduleSideEffects: [{ test: /[\\/]core[\\/]/, sideEffects: false }] },
      output: { codeSplitting: { groups: [{ name: "shared", minShareCount: 5 }] } },
    },
  },
  server: { proxy: { "/api": "http://localhost:4310" } },
});
