// Painting threads, readers and the program itself run as they are built, so what is built has to be what is there.
import { ensureBuilt } from "../../scripts/setup.mjs";

export function mochaGlobalSetup() {
  ensureBuilt();
}
