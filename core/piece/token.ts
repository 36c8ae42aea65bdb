import { z } from "zod";

/** A token (a colour role of the arrangement, or a role of the brand) or a raw hex, which preflight marks. */
export const ColourToken = z.string().min(1);
