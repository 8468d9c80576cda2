<script setup lang="ts">
/** Many beds at once, pasted from a spreadsheet or read from a file; looked at before anything is added. */
import { common } from '@/text/base/common'
import { sheetDialog as words } from '@/text/components/bed'
import { computed, ref } from 'vue'
import type { Tables } from '@/core/data'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import type { Bed } from '@/model/garden/schemas'
import { bedHeadings, bedsFromText } from '@/model/sheets/bedSheet'
import type { Matches } from '@/model/sheets/sheet'
import { counted } from '@/text/base/counted'
import { sheetProblemText } from '@/text/base/fields'
import { bedTitle } from '@/text/base/titles'
import { VESSEL_NAMES } from '@/text/bed/vessels'
import { volumeText, type UnitSystem } from '@/text/base/units'
import SheetReader from '../frame/SheetReader.vue'

const { units, tables } = defineProps<{ units: UnitSystem; tables: Tables }>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ add: [beds: Bed[]] }>()

/** Rows that are shown; all of them are added. */
const SHOWN = 60
const text = ref('')
const matches = ref<Matches>({})
const read = computed(() =>
  text.value.trim() === ''
    ? { beds: [], problems: [], look: null }
    : bedsFromText(text.value, units, {
        newId: () => crypto.randomUUID(),
        createdAt: new Date().toISOString(),
        matches: matches.value,
      }),
)
const litres = (bed: Bed) => {
  const plan = mixNeededFor({ spec: bed, sunkBy: null }, tables)
  return plan.ok ? plan.value.net * bed.vessel.count : 0
}
const rows = computed(() =>
  read.value.beds
    .slice(0, SHOWN)
    .map((bed) => [
      bedTitle(bed),
      VESSEL_NAMES[bed.vessel.kind].one,
      String(bed.vessel.count),
      volumeText(litres(bed), units),
    ]),
)
const beds = computed(() => counted(read.value.beds.length, 'bed'))
const summary = computed(() => {
  const total = read.value.beds.reduce((s, b) => s + litres(b), 0)
  return rows.value.length ? words.canBeAddedOfMix(beds.value, volumeText(total, units)) : ''
})
</script>

<template>
  <SheetReader
    v-model:visible="visible"
    v-model:text="text"
    v-model:matches="matches"
    :look="read.look"
    :header="words.manyBedsAtOnce"
    :columns="bedHeadings(units).join('; ')"
    :placeholder="words.nameShapeCountLengthHeight"
    :file-name="words.csvFileOfBeds"
    :problems="read.problems.map((p) => sheetProblemText(p, units))"
    :summary="summary"
    :head="[words.name, common.shape, common.howMany, words.mix]"
    :rows="rows"
    :keep="rows.length ? `Add ${beds}` : common.add"
    :sound="rows.length > 0"
    @keep="emit('add', read.beds)"
  >
    {{ words.lengthsInWhatYouLeave(units === 'us' ? 'inches' : 'centimetres') }}
    <template #columns>
      {{ words.ofARoundPot }} <code>{{ words.length }}</code> {{ words.isTheWidthAcrossThe }}
      <code>{{ words.baseLength }}</code> {{ words.acrossTheBase }}
    </template>
  </SheetReader>
</template>
