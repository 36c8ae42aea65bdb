import type { FastifyInstance } from "fastify";
import type { ZodTypeProvider } from "fastify-type-provider-zod";

export type App = FastifyInstance;
export type Routes = ReturnType<typeof typed>;

/** Routes whose answers and bodies have the types of their schemas. */
export const typed = (app: App) => app.withTypeProvider<ZodTypeProvider>();
