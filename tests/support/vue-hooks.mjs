import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { transform } from "esbuild";
import ts from "typescript";
import { compileScript, parse, registerTS } from "vue/compiler-sfc";

registerTS(() => ts);

export async function load(url, context, next) {
  if (!url.endsWith(".vue")) return next(url, context);
  const filename = fileURLToPath(url);
  const { descriptor } = parse(readFileSync(filename, "utf8"), { filename });
  const { content } = compileScript(descriptor, { id: filename, inlineTemplate: true });
  const { code } = await transform(content, { loader: "ts", target: "es2022" });
  return { format: "module", source: code, shortCircuit: true };
}
