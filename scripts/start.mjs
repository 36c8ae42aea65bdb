// npm start: sets everything up, then serves the application.
import { spawn } from "node:child_process";
import { join, resolve } from "node:path";
import { parseArgs } from "node:util";
import { checkNode, ensureBuilt, ensureInstalled, root, serverEnvironment } from "./setup.mjs";

checkNode();
const { port, data } = readArguments();
ensureInstalled();
ensureBuilt();

const server = spawn(
  process.execPath,
  ["--enable-source-maps", join(root, "dist/server/main.js")],
  {
    cwd: root,
    // Over the channel the server hears when this program is gone.
    stdio: ["inherit", "inherit", "inherit", "ipc"],
    env: {
      ...process.env,
      ...serverEnvironment,
      ZEST_ROOT: root,
      ...(port ? { ZEST_PORT: String(port) } : {}),
      ...(data ? { ZEST_DATA: resolve(data) } : {}),
    },
  },
);
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
server.on("exit", (status, signal) => process.exit(status ?? (signal ? 1 : 0)));

function readArguments() {
  try {
    const { values } = parseArgs({
      options: { port: { type: "string" }, data: { type: "string" } },
    });
    const number = Number(values.port ?? process.env.ZEST_PORT ?? 4310);
    if (!Number.isInteger(number) || number < 1 || number > 65535) {
      throw new Error(
        `--port is a number from 1 to 65535, not “${values.port ?? process.env.ZEST_PORT}”`,
      );
    }
    return { port: values.port && number, data: values.data };
  } catch (error) {
    console.error(`${error.message}\nUse: npm start -- [--port 4310] [--data FOLDER]`);
    process.exit(1);
  }
}
