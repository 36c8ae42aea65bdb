import { z } from "zod";
import { ProblemAnswer } from "../../core/api";

export const Id = z.object({ id: z.string().min(1).max(100) });

/** For what is named by its content and so never changes. */
export const FOREVER = "public, max-age=31536000, immutable";

/** The answers that every route may give beside its own. */
export const problems = { 400: ProblemAnswer, 403: ProblemAnswer, 404: ProblemAnswer };
