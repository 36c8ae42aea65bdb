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
  },
  server: { proxy: { "/api": "http://localhost:4310" } },
});
