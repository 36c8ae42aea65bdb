import { problem } from "../../core/problem";

interface Multipart {
  file(): Promise<{ filename: string; toBuffer(): Promise<Buffer> } | undefined>;
}

/** The one file of a multipart request. */
export async function upload(request: unknown): Promise<{ bytes: Buffer; name: string }> {
  const part = await (request as Multipart).file();
  if (!part) throw problem("request-invalid", { field: "file", why: "a file is needed" });
  return { bytes: await part.toBuffer(), name: part.filename || "The file" };
}
