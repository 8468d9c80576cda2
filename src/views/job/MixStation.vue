<script setup lang="ts">
/** The bench: parts on the left, the container in section, and what the mix will do against what is wanted. */
import { useOnPhone } from '@/composables/page/useOnPhone'
import { useMediaQuery, useTimeoutFn } from '@vueuse/core'
import RecipeCard from '@/components/bench/RecipeCard.vue'
import { provideBench } from '@/composables/bench/useBenchContext'
import { materialIn } from '@/core/data'
import BenchDoses from './BenchDoses.vue'
import BenchFigures from './BenchFigures.vue'
import BenchGlance from './BenchGlance.vue'
import BenchParts from './BenchParts.vue'
import BenchPicture from './BenchPicture.vue'
import BenchTools from './BenchTools.vue'
import BenchVerdict from './BenchVerdict.vue'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, tables, delayedJob, delayedAnswer, crop, units, container, step, prepared, replaceRecipe } =
  provideBench(() => jobId)
/** The card for the wall is made when it is printed. */
const printing = useMediaQuery('print')
const onPhone = useOnPhone()

const add = (materialId: string) => garden.run({ type: 'part/add', jobId, materialId, twelfths: step.value })
/**
 * The finder is fetched while the bench is looked at: pressed, it answers at once. One that cannot be had says so then.
 */
const BENCH_LOOKED_AT = 1500
useTimeoutFn(() => void import('./FinderView.vue').catch(() => null), BENCH_LOOKED_AT)
/** A material dragged from the shelf onto the bench. */
function drop(event: DragEvent) {
  const id = event.dataTransfer?.getData('text/open-bed-material')
  if (!id || !materialIn(tables.value, id)) return
  event.preventDefault()
  add(id)
}
const allow = (event: DragEvent) => {
  if (event.dataTransfer?.types.includes('text/open-bed-material')) event.preventDefault()
}
</script>

<template>
  <div v-if="delayedJob && container" class="mix" @dragover="allow" @drop="drop">
    <BenchTools :job="delayedJob" class="tools" @put="replaceRecipe" />
    <BenchVerdict />
    <BenchGlance v-if="onPhone" />
    <section class="recipe" aria-labelledby="parts-title">
      <BenchParts @add="add" />
      <BenchDoses />
    </section>
    <BenchPicture />
    <BenchFigures />
    <RecipeCard
      v-if="delayedAnswer && printing && prepared?.ok"
      :tables="tables"
      :job="delayedJob"
      :evaluation="delayedAnswer"
      :lime="prepared.value.lime.own"
      :crop-name="crop?.name ?? null"
      :units="units"
    />
  </div>
</template>

<style scoped>
.mix {
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr) 284px;
  gap: 20px;
  padding: 12px 24px 24px;
}
.tools {
  grid-column: 1 / -1;
}
/* Each piece is painted by itself: a press repaints only what it changes. */
.mix > *,
.mix > * > :deep(div),
.mix :deep(section),
.mix :deep(figure),
.mix :deep(.stage),
.mix :deep(.stage > svg),
.mix :deep(ul),
.mix :deep(.head),
.mix :deep(.adds),
.mix :deep(.p-selectbutton) {
  isolation: isolate;
}
@media (max-width: 1080px) {
  .mix {
    grid-template-columns: 1fr 1fr;
  }
}
@media (max-width: 760px) {
  .mix {
    grid-template-columns: minmax(0, 1fr);
    padding: 8px 14px 64px;
    gap: 8px;
  }
  .tools {
    order: -1;
    margin-inline: -10px;
  }
}
/* On paper there is the recipe alone. */
@media print {
  .mix {
    display: block;
  }
  .mix > :not(.card) {
    display: none;
  }
}
</style>
