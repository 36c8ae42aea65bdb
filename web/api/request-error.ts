/** An answer that was not given: the server's sentence with its HTTP status, or with 0 when it could not be reached. */
export class RequestError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly status: number,
  ) {
    super(message);
  }

  /** The same request will never be taken; anything else may be over soon. */
  get isRefusal(): boolean {
    return this.status >= 400 && this.status < 500 && !LATER.has(this.status);
  }
}

/** Request timeout, too early, too many requests. */
const LATER = new Set([408, 425, 429]);
