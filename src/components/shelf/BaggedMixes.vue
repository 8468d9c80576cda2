<script setup lang="ts">
/** Bagged mixes by their labels. */
import { common } from '@/text/base/common'
import { baggedMixes as words } from '@/text/components/shelf'
import Button from 'primevue/button'
import type { Bag } from '@/model/garden/schemas'
import { packText } from '@/text/base/labels'
import type { UnitSystem } from '@/text/base/units'

const { bags, units } = defineProps<{
  bags: readonly { bag: Bag; name: string; says: string }[]
  units: UnitSystem
}>()
const emit = defineEmits<{ describe: [bag?: Bag] }>()
</script>

<template>
  <section aria-labelledby="bags-title">
    <div class="row head">
      <h2 id="bags-title">{{ common.baggedMixes }}</h2>
      <Button
        :label="common.describeABaggedMix"
        icon="pi pi-tag"
        outlined
        size="small"
        @click="emit('describe')"
      />
    </div>
    <p class="soft">
      {{ words.fromTheirLabelsToHold }}
    </p>
    <ul class="plain">
      <li v-for="b in bags" :key="b.bag.id">
        <span class="name"><strong>{{ b.name }}</strong><small>{{ b.says }}</small></span>
        <span
          ><small>{{ common.boughtAs }}</small>{{ packText({ kind: 'loose', litres: b.bag.litres }, units)
          }}<template v-if="b.bag.price !== null">, {{ b.bag.price.toFixed(2) }}</template></span
        >
        <Button
          :label="common.label"
          text
          size="small"
          :aria-label="`Label of ${b.name}`"
          @click="emit('describe', b.bag)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-top: 28px;
}
.head {
  justify-content: space-between;
}
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
</style>
