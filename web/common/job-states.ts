import type { JobState } from "../../core/api";

/** How a job's state is said. */
export const JOB_STATES: Record<JobState, string> = {
  queued: "waiting for its turn",
  running: "being made",
  paused: "paused",
  done: "done",
  cancelled: "cancelled",
  failed: "failed",
};

/** What a person can do about it: stop it, or go on with it. */
export const jobTurn = (state: JobState): "cancel" | "resume" | undefined =>
  state === "queued" || state === "running" ? "cancel" : state === "done" ? undefined : "resume";
