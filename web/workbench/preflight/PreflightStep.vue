<script setup lang="ts">
import { computed } from "vue";
import { checkPiece, toAct } from "../../../core/preflight";
import { counted } from "../../common/counted";
import FindingCard from "./FindingCard.vue";
import SlideFindings from "./SlideFindings.vue";
import WallTile from "../sizes/WallTile.vue";
import { useBench } from "../bench";
import { useSlideReports } from "../slides/slide-reports";
import { usePiece } from "../piece";
import { wallWidths } from "../../wall/packing";
import { useSharedWall } from "../../wall/wall-key";

/** Every finding, size by size; each can be pointed at. */
const open = usePiece();
const bench = useBench();
const wall = useSharedWall();
const slides = useSlideReports();

const widths = computed(() => wallWidths(open.placements, 0.8));
const all = computed(() => {
  return open.placements.map((placement) => {
    const report = wall.reports.value.get(placement.id);
    return { placement, report, findings: toAct(report?.findings ?? []) };
  });
});
/** Words that stand on no size at all. */
const ofPiece = computed(() =>
  checked.value ? checkPiece(all.value.flatMap(({ report }) => report ?? [])) : [],
);
const checked = computed(() => all.value.every((entry) => entry.report !== undefined));
const withFindings = computed(() => all.value.filter(({ findings }) => findings.length > 0));
const clean = computed(() =>
  all.value.filter(({ findings, report }) => report && findings.length === 0),
);
/** Of a strip on all its slides. */
const counts = computed(() => {
  const others = slides.others.map(({ id }) => slides.of(id));
  const reports = others.flatMap((of) => [...(of?.values() ?? [])]);
  const findings = [
    ...ofPiece.value,
    ...all.value.flatMap((entry) => entry.findings),
    ...toAct(reports.flatMap((report) => report.findings)),
  ];
  const must = findings.filter((finding) => finding.level === "must-fix").length;
  const whole = others.every((of) => of !== undefined);
  return { must, look: findings.length - must, whole };
});

function point(placement: string, node: string | undefined): void {
  const same = bench.current === placement && bench.pointed === node;
  bench.select(placement);
  bench.pointed = same ? undefined : node;
}
</script>

<template>
  <div class="preflight">
    <header>
      <h2>Preflight</h2>
      <span v-if="slides.others.length" class="quiet">slide {{ open.slide + 1 }}</span>
      <span class="quiet number" role="status">
        {{
          checked && counts.whole
            ? `${counts.must} must fix, ${counts.look} to look at`
            : "Checking …"
        }}
      </span>
    </header>
    <p class="quiet small">
      Checked: safe areas and crops, overlap, legibility, contrast, resolution, characters, the
      brand's colours.
    </p>
    <section v-if="ofPiece.length" aria-label="The whole piece">
      <FindingCard v-for="finding in ofPiece" :key="finding.about" :finding="finding" />
    </section>
    <section v-for="entry in withFindings" :key="entry.placement.id" class="entry">
      <WallTile :placement="entry.placement" :width="widths.get(entry.placement.id) ?? 1" />
      <div>
        <FindingCard
          v-for="(finding, index) in entry.findings"
          :key="index"
          :finding="finding"
          :placement="entry.placement.id"
          :pointed="
            bench.current === entry.placement.id &&
            bench.pointed !== undefined &&
            bench.pointed === finding.node
          "
          @point="point(entry.placement.id, finding.node)"
        />
      </div>
    </section>
    <section v-if="slides.others.length" class="others" aria-label="Other slides">
      <h3>Other slides</h3>
      <div>
        <SlideFindings v-for="{ id, index } in slides.others" :id="id" :key="id" :index="index" />
      </div>
    </section>
    <section v-if="clean.length" class="clean">
      <h3>Nothing found on {{ counted(clean.length, "size") }}</h3>
      <div class="tiles">
        <WallTile
          v-for="entry in clean"
          :key="entry.placement.id"
          :placement="entry.placement"
          :width="Math.round(0.6 * (widths.get(entry.placement.id) ?? 1))"
        />
      </div>
    </section>
  </div>
</template>

<style scoped>
.preflight {
  padding: 16px 22px 48px;
}

header {
  display: flex;
  gap: 12px;
  align-items: baseline;
  min-height: 32px;
}

.entry {
  display: grid;
  grid-template-columns: minmax(260px, auto) 1fr;
  gap: 24px;
  align-items: start;
  padding: 20px 0;
  border-bottom: 1px solid var(--line);
}

.entry :deep(.finding:last-child) {
  border-bottom: 0;
}

.others {
  padding-top: 20px;
}

.others > div {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(320px, 1fr));
  gap: 20px 28px;
  padding-top: 12px;
}

.clean {
  display: grid;
  gap: 16px;
  padding-top: 20px;
}

.tiles {
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
  align-items: end;
}
</style>
