import type { ServerContext } from "../context";
import { Batches } from "./batches";
import { Bin } from "./bin";
import { Choosing } from "./choosing";
import { Deliveries } from "./deliveries";
import { Filing } from "./filing";
import { Kits } from "./kits";
import { Library } from "./library";
import { NewPieces } from "./new-pieces";
import { Pieces } from "./pieces";
import { Placements } from "./placements";
import { Refits } from "./refits";
import { Sets } from "./sets";
import { Renditions } from "./renditions";
import { Specimens } from "./specimens";
import { Storage } from "./storage";
import { Templates } from "./templates";

/** All that the program does for its doors, HTTP and the command line. */
export interface Services {
  context: ServerContext;
  pieces: Pieces;
  placements: Placements;
  library: Library;
  kits: Kits;
  batches: Batches;
  choosing: Choosing;
  deliveries: Deliveries;
  refits: Refits;
  sets: Sets;
  templates: Templates;
  newPieces: NewPieces;
  filing: Filing;
  renditions: Renditions;
  specimens: Specimens;
  bin: Bin;
  storage: Storage;
}

export function makeServices(context: ServerContext): Services {
  const placements = new Placements(context);
  const pieces = new Pieces(context, placements);
  const library = new Library(context);
  context.pool.knowing((ids) => library.areasOf(ids));
  const kits = new Kits(context, library, pieces, placements);
  const templates = new Templates(context, pieces);
  const batches = new Batches(context, pieces, library, placements, templates);
  const choosing = new Choosing(context, batches, pieces, library, placements);
  const deliveries = new Deliveries(context, pieces, library, batches, placements);
  const refits = new Refits(context, pieces, library, placements);
  const sets = new Sets(context, pieces);
  const newPieces = new NewPieces(context, pieces, library, placements, templates);
  const filing = new Filing(context, pieces);
  const renditions = new Renditions(context);
  const specimens = new Specimens(context, library);
  const bin = new Bin(context);
  const storage = new Storage(context, bin);
  return {
    context,
    pieces,
    placements,
    library,
    kits,
    batches,
    choosing,
    deliveries,
    refits,
    sets,
    templates,
    newPieces,
    filing,
    renditions,
    specimens,
    bin,
    storage,
  };
}
