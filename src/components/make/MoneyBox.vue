<script setup lang="ts">
/** What it costs: paid at the shop beside what goes into the mix, by bed, and against bags. */
import { moneyBox as says } from '@/text/components/make'
import { computed } from 'vue'
import { againstBagsText } from '@/text/base/money'
import type { AgainstBags } from '@/model/make/money'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import FigureTable from '../frame/FigureTable.vue'

const { rows, beds, missing, bags, against, units } = defineProps<{
  rows: readonly string[][]
  beds: readonly string[][]
  /** What has no price, in words. */
  missing: string
  /** Bagged mixes with a price, to hold it against. */
  bags: readonly { value: string; label: string }[]
  against: AgainstBags | null
  units: UnitSystem
}>()
const bag = defineModel<string>('bag', { required: true })
const said = computed(() => against && againstBagsText(against, units))
</script>

<template>
  <section class="money" aria-labelledby="money-title">
    <h2 id="money-title">{{ says.whatItCosts }}</h2>
    <div class="boxes">
      <FigureTable v-if="rows.length" :rows="rows" :caption="says.paidAtTheShopAnd" />
      <FigureTable v-if="beds.length > 1" :rows="beds" :caption="says.whatTheMixInEach" />
      <div v-if="bags.length" class="against no-print">
        <ChoiceField v-model="bag" :label="says.againstBagsOf" :options="bags" />
        <p v-if="said">
          <strong>{{ said.title }}.</strong> {{ said.text }}
        </p>
      </div>
    </div>
    <p v-if="missing" class="soft">{{ says.noPriceYetFor(missing) }}</p>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 22px;
}
.boxes :deep(table) {
  width: auto;
  min-width: min(22rem, 100%);
}
.boxes {
  display: flex;
  flex-wrap: wrap;
  gap: 20px 48px;
  align-items: start;
}
.against {
  max-width: 26rem;
}
</style>
