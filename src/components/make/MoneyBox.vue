<script setup lang="ts">
/** What it costs: paid at the shop beside what goes into the mix, by bed, and against bags. */
import { useOnPhone } from '@/composables/page/useOnPhone'
import { moneyBox as says } from '@/text/components/make'
import { computed } from 'vue'
import { againstBagsText, moneyText } from '@/text/base/money'
import type { AgainstBags } from '@/model/make/money'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import FigureTable from '../frame/FigureTable.vue'
import FoldBox from '../frame/FoldBox.vue'

const {
  rows,
  paid = null,
  beds,
  missing,
  bags,
  against,
  units,
} = defineProps<{
  rows: readonly string[][]
  /** Paid at the shop, and used of it. */
  paid?: { paid: number; used: number } | null
  beds: readonly string[][]
  /** What has no price, in words. */
  missing: string
  /** Bagged mixes with a price, to hold it against. */
  bags: readonly { value: string; label: string }[]
  against: AgainstBags | null
  units: UnitSystem
}>()
/** Of what is paid, what goes into this mix; nothing where more comes from the shelf than is bought. */
const bar = computed(() => {
  if (!paid || paid.used > paid.paid || paid.paid <= 0) return null
  return {
    used: (100 * paid.used) / paid.paid,
    says: [moneyText(paid.used), moneyText(paid.paid), moneyText(paid.paid - paid.used)] as const,
  }
})
const onPhone = useOnPhone()
const bag = defineModel<string>('bag', { required: true })
const said = computed(() => against && againstBagsText(against, units))
</script>

<template>
  <section class="money" aria-labelledby="money-title">
    <h2 id="money-title">{{ says.whatItCosts }}</h2>
    <div class="boxes">
      <div v-if="rows.length">
        <div v-if="bar" class="bar" role="img" :aria-label="says.barSays(bar.says[0], bar.says[1])">
          <i class="used" :style="{ width: `${bar.used}%` }"
            ><b v-if="bar.used > 35">{{ says.inTheMix }} {{ bar.says[0] }}</b></i
          >
          <i class="left" :style="{ width: `${100 - bar.used}%` }"
            ><b v-if="bar.used < 65">{{ says.onTheShelf }} {{ bar.says[2] }}</b></i
          >
        </div>
        <component
          :is="onPhone && bar ? FoldBox : 'div'"
          id="costs"
          :title="onPhone ? says.asFigures : undefined"
        >
          <FigureTable :rows="rows" :caption="says.paidAtTheShopAnd" />
        </component>
      </div>
      <FigureTable v-if="beds.length > 1" :rows="beds" :caption="says.whatTheMixInEach" />
      <FoldBox
        v-if="bags.length"
        id="against-bags"
        class="against no-print"
        :title="says.againstBags"
        :says="said?.title"
      >
        <ChoiceField v-model="bag" :label="says.againstBagsOf" :options="bags" />
        <p v-if="said"><strong>{{ said.title }}.</strong> {{ said.text }}</p>
      </FoldBox>
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
.bar {
  display: flex;
  height: 28px;
  margin-bottom: 6px;
  border: 1.5px solid var(--ink);
  border-radius: 4px;
  overflow: hidden;
}
.bar i {
  display: flex;
  align-items: center;
  padding-left: 8px;
  font-style: normal;
  overflow: hidden;
  white-space: nowrap;
}
.bar b {
  font-weight: 600;
  font-size: 0.9rem;
}
.used {
  background: var(--leaf-wash);
}
.left {
  background: repeating-linear-gradient(135deg, var(--sheet) 0 5px, var(--rule) 5px 7px);
}
.left b {
  background: var(--sheet);
  padding: 0 5px;
  border-radius: 3px;
}
.against {
  max-width: 26rem;
}
</style>
