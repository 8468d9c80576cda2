<script setup lang="ts">
/**
 * Where a figure lies on a scale, against the band wanted. Drawn of lines: a line that moves needs no new style, no
 * layer and no layout of the page, and six of these answer every press on the bench.
 */
const {
  position,
  band = null,
  likely = null,
  sure = false,
  ghost = null,
} = defineProps<{
  /** 0 to 1, as are all places here; what lies beyond an end is drawn at it. */
  position: number
  band?: { from: number; to: number } | null
  likely?: { from: number; to: number } | null
  /** The likely range comes with the figure and is never waited for. */
  sure?: boolean
  /** Where the mark would stand after a change that is only looked at. */
  ghost?: number | null
}>()
const at = (x: number) => `${(Math.min(1, Math.max(0, x)) * 100).toFixed(2)}%`
</script>

<template>
  <svg class="scale" height="17" aria-hidden="true">
    <rect class="track" y="4" width="100%" height="9" rx="4.5" />
    <template v-if="band">
      <line class="band" :x1="at(band.from)" :x2="at(band.to)" y1="8.5" y2="8.5" />
      <line
        v-for="(x, i) in [band.from, band.to]"
        :key="i"
        class="edge"
        :x1="at(x)"
        :x2="at(x)"
        y1="4"
        y2="13"
      />
    </template>
    <line
      v-if="likely"
      class="likely-span"
      :class="{ sure }"
      :x1="at(likely.from)"
      :x2="at(likely.to)"
      y1="8.5"
      y2="8.5"
    />
    <line class="needle" :x1="at(position)" :x2="at(position)" y1="2" y2="15" />
    <template v-if="ghost !== null">
      <line class="ghost" :x1="at(ghost)" :x2="at(ghost)" y1="4" y2="13" />
      <line class="ghost hollow" :x1="at(ghost)" :x2="at(ghost)" y1="4" y2="13" />
    </template>
  </svg>
</template>

<style scoped>
.scale {
  display: block;
  width: 100%;
  margin: 2px 0 0;
  overflow: visible;
}
.track {
  fill: color-mix(in srgb, var(--rule) 55%, transparent);
}
.band {
  stroke: var(--leaf-wash);
  stroke-width: 9px;
}
.edge {
  stroke: var(--leaf);
  stroke-width: 2px;
}
.likely-span {
  stroke: color-mix(in srgb, var(--ink) 75%, transparent);
  stroke-width: 3px;
}
/* The last ranges are hidden where they stand while those of another mix are worked out. */
.awaiting .likely-span:not(.sure),
.undecided .ghost {
  visibility: hidden;
}
.needle {
  stroke: var(--ink);
  stroke-width: 4px;
  stroke-linecap: round;
}
/* Hollow: not yet so. */
.ghost {
  stroke: var(--clay);
  stroke-width: 8px;
  stroke-linecap: round;
}
.hollow {
  stroke: var(--sheet);
  stroke-width: 4px;
}
</style>
