<script setup lang="ts">
/** What is given by weight besides lime, and what the mix is offered. */
import { lowerFirst } from '@/text/base/counted'
import { common } from '@/text/base/common'
import { dressingList as words } from '@/text/components/bench'
import { dressingIn } from '@/core/data/dressings'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Dressing, Material, Tables } from '@/core/data'
import type { AmountSetting } from '@/model/amounts/amount'
import type { DressingLine } from '@/model/garden/schemas'
import { usualLine, type DoseOffer } from '@/model/mix/doses'
import { dressingChoices } from '@/text/base/choices'
import { doseProblem, offerText } from '@/text/mix/doses'
import { dressingName } from '@/text/shelf/dressings'
import { doseText, type UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import FoldBox from '../frame/FoldBox.vue'
import DressingRow from './DressingRow.vue'

const { rows, materials, tables, lines, beds, units, litres, settingOf, offers, stale } = defineProps<{
  /** Dressings to choose from. */
  rows: readonly Dressing[]
  /** Materials, which can be given as a dressing too. */
  materials: readonly Material[]
  tables: Tables
  lines: readonly DressingLine[]
  /** The beds of the job. */
  beds: readonly { id: string; name: string }[]
  units: UnitSystem
  /** Mix the job makes, for grams in all; null where that is not known. */
  litres: number | null
  /** What the amount of a line is counted in. */
  settingOf: (line: DressingLine) => AmountSetting
  /** Doses worked out for what this mix lacks. */
  offers: readonly DoseOffer[]
  /** The doses are of an older mix: shown, not to be given. */
  stale: boolean
}>()
const emit = defineEmits<{ set: [line: DressingLine]; remove: [lineId: string]; describe: []; byLabel: [] }>()

const offered = computed(() => dressingChoices(rows, materials))
function add(id: string | null) {
  const line = id && usualLine(id, lines, tables)
  if (line) emit('set', line)
}
/** What is given already: what is under the fold. */
const given = computed(() =>
  lines.length === 0
    ? common.none
    : lines
        .map((l) => `${doseText(l.gramsPerLitre, units)} ${lowerFirst(dressingName(l.dressingId))}`)
        .join(', '),
)
/** An amount that cannot be is seen, whatever is folded. */
const isWrong = computed(() => lines.some((l) => doseProblem(l.gramsPerLitre) !== null))
const doses = computed(() =>
  offers.map((offer) => ({ line: offer.line, ...offerText(offer, litres, units) })),
)
</script>

<template>
  <section class="dressings" aria-labelledby="dressings-title">
    <h2 id="dressings-title" class="visually-hidden">{{ words.feedAndOtherDressings }}</h2>
    <div v-for="d in doses" :key="d.line.dressingId" class="offer">
      <Button
        :label="words.give(d.label)"
        icon="pi pi-plus"
        size="small"
        outlined
        :disabled="stale"
        @click="emit('set', d.line)"
      />
      <p class="soft">{{ d.why }}</p>
    </div>
    <FoldBox id="dressings" :title="words.feedAndOtherDressings" :says="given" :needed="isWrong">
      <DressingRow
        v-for="line in lines"
        :key="line.id"
        :dressing="dressingIn(tables, line.dressingId)"
        :line="line"
        :beds="beds"
        :units="units"
        :setting="settingOf(line)"
        @set="emit('set', $event)"
        @remove="emit('remove', line.id)"
      />
      <ChoiceField
        :key="lines.length"
        :label="words.addAFeedOrOther"
        hide-label
        :model-value="null"
        :options="offered"
        :placeholder="words.addAFeedOrOther"
        :search="words.searchDressings"
        :none="words.noDressingOfThatName"
        @update:model-value="add"
      />
      <Button :label="common.aFeedOrLimeOf" icon="pi pi-pencil" text size="small" @click="emit('describe')" />
      <Button :label="common.doseByLabel" icon="pi pi-tag" text size="small" @click="emit('byLabel')" />
    </FoldBox>
  </section>
</template>

<style scoped>
.offer {
  margin-bottom: 10px;
}
.offer p {
  margin: 2px 0 0;
  font-size: 0.9rem;
}
</style>
