<script setup lang="ts">
/** A feed or lime on the shelf: what is in it, how it is bought, how much is on hand. */
import { common } from '@/text/base/common'
import Button from 'primevue/button'
import type { Dressing } from '@/core/data'
import type { DressingPack } from '@/model/garden/schemas'
import { usualDoseText } from '@/text/mix/doses'
import { dressingFacts } from '@/text/shelf/own'
import { weightText, type UnitSystem } from '@/text/base/units'

const { dressing, entry, told, units, own, retired } = defineProps<{
  dressing: Dressing
  entry: DressingPack
  /** Pack, price or stock were entered. */
  told: boolean
  units: UnitSystem
  own: boolean
  retired: boolean
}>()
const emit = defineEmits<{ pack: []; describe: [] }>()
</script>

<template>
  <li>
    <span class="name"
      ><strong>{{ dressing.name }}</strong
      ><small
        ><template v-if="own">{{ common.yourOwn(retired ? common.offeredNoMore : '') }} </template
        >{{ dressingFacts(dressing) }}; {{ usualDoseText(dressing, units) }}</small
      ></span
    >
    <span v-if="told"
      ><small>{{ common.boughtAs }}</small>{{ weightText(entry.kg, units)
      }}<template v-if="entry.price !== null">, {{ entry.price.toFixed(2) }}</template></span
    >
    <span v-if="told"
      ><small>{{ common.onHand }}</small>{{ entry.stock > 0 ? weightText(entry.stock, units) : 'none' }}</span
    >
    <span class="actions">
      <Button
        v-if="own"
        :label="common.change"
        text
        size="small"
        :aria-label="common.change2(dressing.name)"
        @click="emit('describe')"
      />
      <Button
        :label="common.pack"
        text
        size="small"
        :aria-label="common.packPriceAndStockOf(dressing.name)"
        @click="emit('pack')"
      />
    </span>
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.name {
  flex: 1 1 16rem;
}
small {
  display: block;
}
.actions {
  white-space: nowrap;
}
</style>
