<script setup lang="ts">
/** Labels for what is filled: a sheet to print, or one as a picture. */
import { common } from '@/text/base/common'
import { labelsView as words } from '@/text/views/labelsView'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import TextField from '@/components/field/TextField.vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import LabelPicture from '@/components/label/LabelPicture.vue'
import { savePicture } from '@/components/label/savePicture'
import { useJob } from '@/composables/job/useJob'
import { useQuantities } from '@/composables/make/useQuantities'
import { useStations } from '@/composables/job/useStations'
import { ownDressingsOf, ownMaterialsOf, recordOf } from '@/model/garden/garden'
import { shareFragment, sharedRecipe } from '@/model/mix/share'
import { counted } from '@/text/base/counted'
import { isReachable, labelCode, labelText } from '@/text/mix/label'
import { partsText } from '@/text/mix/recipes'
import { bedTitle, jobTitle } from '@/text/base/titles'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, units } = inHand
const { q, problem } = useQuantities(inHand)
const { go } = useStations(() => jobId)

/** More than this on one sheet no printer likes. */
const MOST_LABELS = 120
const COPIES = [
  { value: 'each', label: words.oneForEachContainer },
  { value: 'one', label: words.oneForEachBed },
] as const
const copies = ref<'each' | 'one'>('each')
const SIZES = [
  { value: '90', label: words.from90MmWideTwoIn },
  { value: '62', label: words.from62MmWideThreeIn },
] as const
const size = ref<'90' | '62'>('90')
const ALL = 'all'
const only = ref<string>(ALL)
const beds = computed(() => [
  { value: ALL, label: common.allBeds },
  ...(job.value?.fills ?? []).map((f) => ({ value: f.id, label: bedTitle(f.spec) })),
])

const record = computed(() =>
  job.value?.recordId ? recordOf(garden.records, job.value.recordId) : undefined,
)
/** Asked for where this page itself is only to be had on this machine. */
const address = computed(() => garden.settings.address)
const asksAddress = !isReachable(location.origin)
const addressProblem = computed(() =>
  address.value === '' || isReachable(address.value) ? null : words.addressProblem,
)
/** Opens the record where it is kept; anywhere else it carries the recipe. Null where no phone could open it. */
const link = computed(() => {
  const own = { materials: ownMaterialsOf(garden.records), dressings: ownDressingsOf(garden.records) }
  const shared = sharedRecipe(job.value!, jobTitle(job.value!), '', own)
  const query = record.value ? `?record=${record.value.id}` : ''
  const from = address.value || location.origin
  return isReachable(from)
    ? `${from.replace(/\/$/, '')}/${garden.name}/recipe${query}#${shareFragment(shared)}`
    : null
})
const recipe = computed(() => partsText(job.value!.parts, job.value!.mixes))
const all = computed(() => {
  const one = job.value
  if (!one || !q.value) return []
  return one.fills
    .filter((f) => only.value === ALL || f.id === only.value)
    .flatMap((f) => {
      const text = labelText({ job: one, fill: f, quantities: q.value!, record: record.value }, units.value)
      return Array.from({ length: copies.value === 'each' ? f.count : 1 }, (_, i) => ({
        id: `${f.id} ${i}`,
        text,
        code: labelCode(text, recipe.value, link.value),
      }))
    })
})
const shown = computed(() => all.value.slice(0, MOST_LABELS))
const sheet = ref<HTMLElement | null>(null)
const printPage = () => window.print()
async function saveFirst() {
  const drawing = sheet.value?.querySelector<SVGSVGElement>('svg.label')
  if (drawing) await savePicture(drawing, `${jobTitle(job.value!)} label.png`)
}
</script>

<template>
  <StationFrame v-if="job" :problem="problem">
    <template #back><Button :label="common.backToTheMix" text size="small" @click="go('mix')" /></template>
    <template v-if="q">
      <section class="no-print" aria-labelledby="labels-title">
        <h2 id="labels-title">{{ words.labels }}</h2>
        <p class="soft">
          {{ words.theCodeOpensTheRecord }}
          <template v-if="!record">{{ words.onceTheMixIsRecorded }}</template>
        </p>
        <div class="fields">
          <ChoiceField
            v-if="job.fills.length > 1"
            :label="common.for"
            :model-value="only"
            :options="beds"
            @update:model-value="only = $event ?? ALL"
          />
          <SwitchField v-model="copies" :options="COPIES" :label="common.howMany" />
          <SwitchField v-model="size" :options="SIZES" :label="words.size" />
        </div>
        <TextField
          v-if="asksAddress"
          class="address"
          :model-value="address"
          :label="words.addressOthersUse"
          :hint="words.withoutItTheCode"
          :problem="addressProblem"
          @update:model-value="garden.setSettings({ address: $event.trim() })"
        />
        <div class="row">
          <Button :label="words.printTheSheet" icon="pi pi-print" @click="printPage" />
          <Button :label="words.saveOneAsAPicture" icon="pi pi-image" outlined @click="saveFirst" />
          <Button :label="words.backToFilling" text @click="go('fill')" />
        </div>
        <p class="soft">
          {{ counted(all.length, 'label') }}.
          <template v-if="all.length > shown.length">
            {{ words.theFirstAreOnThe(shown.length) }}
          </template>
        </p>
      </section>
      <div ref="sheet" class="sheet" :class="size === '62' ? 'three' : 'two'">
        <LabelPicture v-for="l in shown" :key="l.id" :label="l.text" :code="l.code" />
      </div>
    </template>
  </StationFrame>
</template>

<style scoped>
.address {
  max-width: 34rem;
  margin: 10px 0;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  margin-bottom: 10px;
}
.sheet {
  display: grid;
  gap: 10px;
  max-width: 760px;
}
.two {
  grid-template-columns: repeat(auto-fill, minmax(min(300px, 100%), 1fr));
}
.three {
  grid-template-columns: repeat(auto-fill, minmax(min(220px, 100%), 1fr));
}
@media print {
  .sheet {
    max-width: none;
    gap: 2mm;
  }
  .two {
    grid-template-columns: repeat(2, 90mm);
  }
  .three {
    grid-template-columns: repeat(3, 60mm);
  }
  .sheet > * {
    break-inside: avoid;
  }
}
</style>
