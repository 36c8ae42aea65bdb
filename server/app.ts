import multipart from "@fastify/multipart";
import rateLimit from "@fastify/rate-limit";
import swagger from "@fastify/swagger";
import Fastify, { type FastifyError, type FastifyReply } from "fastify";
import {
  hasZodFastifySchemaValidationErrors,
  jsonSchemaTransform,
  serializerCompiler,
  validatorCompiler,
} from "fastify-type-provider-zod";
import { Problem, problem } from "../core/problem";
import { asProblem } from "./problems";
import { mendBody } from "./routes/body";
import { addBackupRoutes } from "./routes/backup";
import { addBatchRoutes } from "./routes/batches";
import { addChoosingRoutes } from "./routes/choosing";
import { addBrandRoutes } from "./routes/brands";
import { addDeliveryRoutes } from "./routes/deliveries";
import { addHeaders } from "./routes/headers";
import { addLibraryRoutes } from "./routes/library";
import { addPieceRoutes } from "./routes/pieces";
import { addPlacementRoutes } from "./routes/placements";
import { addSpecimenRoutes } from "./routes/specimens";
import { addSchemaRoutes } from "./routes/schemas";
import { refuseStrangers } from "./routes/origin";
import { addStorageRoutes } from "./routes/storage";
import { addTemplateRoutes } from "./routes/templates";
import { MOST_UPLOAD } from "./routes/upload";
import { serveWeb } from "./routes/web";
import type { Services } from "./services/services";
import { typed, type App } from "./routes/typed";

/** In bytes; a pasted table with all that can be used has a few million. */
const MOST_BODY = 32 * 1024 * 1024;

/** A minute; a page that is opened with all its pictures asks a few hundred times. */
const MOST_REQUESTS = 12_000;

/** The HTTP door: thin routes over the services, and the built interface when `web` names its folder. */
export async function makeApp(services: Services, web?: string): Promise<App> {
  const app = Fastify({
    bodyLimit: MOST_BODY,
    forceCloseConnections: true,
    // Addresses that cannot be decoded never come to a route.
    frameworkErrors: (error, _request, reply) => answerProblem(reply, toProblem(error)),
  });
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  app.setErrorHandler<FastifyError>((error, _request, reply) => {
    answerProblem(reply, toProblem(error));
  });
  app.addHook("preValidation", mendBody);
  await addHeaders(app);
  await app.register(rateLimit, { max: MOST_REQUESTS, timeWindow: "1 minute" });
  app.addHook("onRequest", refuseStrangers);
  await app.register(swagger, {
    openapi: { info: { title: "Zest Crate", version: "1" } },
    transform: jsonSchemaTransform,
  });
  await app.register(multipart, { limits: { fileSize: MOST_UPLOAD, files: 1 } });
  // Routes are registered after the plugins that watch them, so that the description is complete.
  await app.register(async (scope) => {
    const routes = typed(scope);
    addPieceRoutes(routes, services);
    addPlacementRoutes(routes, services);
    addTemplateRoutes(routes, services);
    addBrandRoutes(routes, services);
    addLibraryRoutes(routes, services);
    addSpecimenRoutes(routes, services);
    addBatchRoutes(routes, services);
    addChoosingRoutes(routes, services);
    addDeliveryRoutes(routes, services);
    addStorageRoutes(routes, services);
    addBackupRoutes(routes, services);
    addSchemaRoutes(routes);
    routes.get("/api/openapi.json", { schema: { hide: true } }, () => app.swagger());
  });
  if (web) await serveWeb(app, web);
  return app;
}

function answerProblem(reply: FastifyReply, { status, code, message }: Problem): void {
  void reply.status(status).send({ code, message });
}

function toProblem(error: FastifyError): Problem {
  if (error instanceof Problem) return error;
  if (hasZodFastifySchemaValidationErrors(error)) {
    const [first] = error.validation;
    const path = first?.instancePath.replace(/^\//, "").replace(/\//g, ".");
    const field = path || `the ${error.validationContext ?? "request"}`;
    return problem("request-invalid", { field, why: first?.message ?? "it does not fit" });
  }
  if (error.code === "FST_REQ_FILE_TOO_LARGE") return tooLarge(MOST_UPLOAD);
  if (error.code === "FST_ERR_CTP_BODY_TOO_LARGE") return tooLarge(MOST_BODY);
  if (error.statusCode === 429) return problem("requests-many");
  if (error.statusCode && error.statusCode < 500) {
    return problem("request-invalid", { field: "The request", why: sentenceOf(error) });
  }
  return asProblem(error);
}

const tooLarge = (most: number): Problem =>
  problem("file-too-large", { most: `${most / 1024 / 1024} MB` });

/** Without a full stop, since the sentence goes on. */
const sentenceOf = ({ message }: Error): string => message.replace(/[.\s]+$/, "");
