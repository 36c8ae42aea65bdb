import { watch } from "vue";
import { useBatchNews } from "../../common/batch-news";
import { useToasts } from "../../common/toasts";
import { useTemplates } from "../../new-piece/templates";
import { usePiece } from "../piece";
import { useMadeBatches } from "./made";

/** Keeps the batches of the open piece as they are while something shows them: told by the server whenever one moves. */
export function useBatches(): void {
  const open = usePiece();
  const made = useMadeBatches();
  const templates = useTemplates();
  const toasts = useToasts();
  useBatchNews(
    () => open.whole?.id,
    (now) => made.told(now),
    () => void made.refresh(),
  );
  // A change of the piece makes files outdated.
  watch(
    () => open.saving,
    (now) => now === "saved" && void made.refresh(),
  );
  void made.refresh();
  // What arranges a row is seen while it is written.
  void templates.load().catch(toasts.fail);
}
