import workerpool from "workerpool";
import { crossing } from "../problems";
import type { Task } from "./reader";
import { readArticle, readFont, readPicture, readTable } from "./reading";

/** Runs in a process of its own: reads one file from outside. */
const tasks: Record<Task, (path: string, name: string) => Promise<unknown>> = {
  picture: crossing(readPicture),
  font: crossing(readFont),
  table: crossing(readTable),
  article: crossing(readArticle),
};
// Whoever started it may have ended before it is ready; then nobody waits for it, and it says nothing.
(process as NodeJS.EventEmitter).once("error", () => process.exit());
workerpool.worker(tasks);
