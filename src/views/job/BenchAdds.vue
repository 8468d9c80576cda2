<script setup lang="ts">
/** Everything that can become a part of the mix: materials from the shelf, finished mixes, bags by their label. */
import { common } from '@/text/base/common'
import { benchAdds as words } from '@/text/views/benchAdds'
import { useTables } from '@/composables/garden/useTables'
import { onKeyStroke } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, defineAsyncComponent, ref } from 'vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import MaterialPicker from '@/components/MaterialPicker.vue'
import { isTyping } from '@/composables/page/isTyping'
import { useChoices } from '@/composables/shelf/useChoices'
import { useOwn } from '@/composables/shelf/useOwn'
import { useBags } from '@/composables/shelf/useBags'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import { asPart, mixSources, type MixSource } from '@/model/mix/mixSources'
import type { Job, OwnMaterialRecord } from '@/model/garden/schemas'
import { useGarden } from '@/stores/garden'
import { problemText, type Sentence } from '@/text/base/problems.en'
import { sourceName } from '@/text/mix/recipes'

const FinishedMixDialog = defineAsyncComponent(() => import('@/components/bench/FinishedMixDialog.vue'))
const BagDialog = defineAsyncComponent(() => import('@/components/bench/BagDialog.vue'))

const OwnMaterialDialog = defineAsyncComponent(() => import('@/components/shelf/OwnMaterialDialog.vue'))

const { job, step } = defineProps<{ job: Job; step: number }>()
const emit = defineEmits<{ add: [materialId: string] }>()
const garden = useGarden()
const tables = useTables(garden)
const units = computed(() => garden.settings.units)
const picking = ref(false)
const mixing = ref(false)
const trouble = ref<Sentence | null>(null)
const taken = computed(() => new Set(job.parts.map((p) => p.materialId)))
const sources = computed(() => (mixing.value ? mixSources(garden.records, job) : []))
const { materials } = useChoices(garden)
const { material, describeMaterial, keepMaterial, close: closeOwn } = useOwn()
/** What is described at the bench is for this mix. */
function keepAndAdd(own: OwnMaterialRecord) {
  keepMaterial(own)
  picking.value = false
  emit('add', own.id)
}
const {
  reading,
  listed,
  describe,
  keep,
  remove,
  close,
  materials: bagMaterials,
  dressings: bagDressings,
} = useBags()

function take(source: MixSource) {
  const mix = asPart(source, job, {
    id: words.mix(crypto.randomUUID()),
    name: sourceName(source),
    tables: tables.value,
  })
  trouble.value = mix.ok ? null : problemText(mix.problem, units.value)
  if (!mix.ok) return
  if (taken.value.has(mix.value.id)) emit('add', mix.value.id)
  else garden.run({ type: 'mix/take', jobId: job.id, mix: mix.value, twelfths: step })
}

onKeyStroke('/', (event) => {
  if (isTyping(event)) return
  event.preventDefault()
  picking.value = true
})
</script>

<template>
  <div class="adds">
    <Button icon="pi pi-plus" :label="common.addFromTheShelf" outlined @click="picking = true" />
    <span class="soft key"><kbd>/</kbd></span>
    <Button
      :label="common.addAFinishedMix"
      text
      size="small"
      :disabled="job.mixes.length >= GARDEN_LIMITS.mixes.value"
      @click="mixing = true"
    />
    <ProblemBox v-if="trouble" :sentence="trouble" />
    <MaterialPicker
      v-model:visible="picking"
      :materials="materials"
      :units="units"
      :taken="taken"
      @pick="emit('add', $event)"
      @describe="describeMaterial()"
    />
    <OwnMaterialDialog
      v-if="material"
      :material="material"
      :units="units"
      :listed="false"
      @save="keepAndAdd"
      @close="closeOwn"
    />
    <FinishedMixDialog
      v-model:visible="mixing"
      :sources="sources"
      :units="units"
      @pick="take"
      @describe="describe()"
    />
    <BagDialog
      :tables="tables"
      :materials="bagMaterials"
      :dressings="bagDressings"
      :bag="reading"
      :listed="listed"
      :units="units"
      @save="(keep($event), (mixing = true))"
      @remove="remove"
      @close="close"
    />
  </div>
</template>

<style scoped>
.adds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  margin-top: 10px;
}
/* A key for those who have keys. */
@media (max-width: 760px) {
  .adds > .key {
    display: none;
  }
}
</style>
