// Compiles what is written in AssemblyScript to a module that core imports as bytes, unless it is there already.
import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { root } from "./setup.mjs";

const FLAGS = ["--enable", "simd", "--optimizeLevel", "3", "--noAssert", "--runtime", "stub"];
const SOURCE = "resample.as.ts";

const target = join(root, "core/picture/resample.wasm.ts");
const text = readFileSync(join(root, "core/picture", SOURCE), "utf8");
const stamp = `// Made from ${SOURCE}, ${createHash("sha256").update(text).digest("hex")}`;
if (!existsSync(target) || !readFileSync(target, "utf8").startsWith(stamp)) {
  const code = `export const code = new Uint8Array([${(await compiled()).join(", ")}]);`;
  writeFileSync(target, `${stamp}\n${code}\n`);
}

async function compiled() {
  // Only now: the compiler takes a second to load.
  const { default: asc } = await import("assemblyscript/asc");
  let bytes;
  const { error, stderr } = await asc.main([SOURCE, ...FLAGS, "--outFile", "out.wasm"], {
    readFile: (name) => (name === SOURCE ? text : null),
    writeFile: (_, contents) => void (bytes = contents),
    listFiles: () => [],
  });
  if (error) throw new Error(`${SOURCE}: ${String(stderr)}`);
  return bytes;
}
