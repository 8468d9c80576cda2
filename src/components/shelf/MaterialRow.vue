<script setup lang="ts">
/** A material on the shelf: what it does, how it is bought, how much is on hand. */
import { common } from '@/text/base/common'
import { materialRow as words } from '@/text/components/shelf'
import Button from 'primevue/button'
import { airCapacityAt10Cm, easilyAvailableWaterAlone } from '@/core/data/columnFigures'
import type { Material } from '@/core/data'
import type { OwnMaterialRecord, ShelfItem } from '@/model/garden/schemas'
import { packText } from '@/text/base/labels'
import { FAMILY_NAMES } from '@/text/shelf/materials'
import { namesOf } from '@/text/shelf/names'
import { lengthText, percentText, pHText, volumeText, type UnitSystem } from '@/text/base/units'
import MaterialSwatch from '../MaterialSwatch.vue'

const { material, entry, own, units } = defineProps<{
  material: Material
  entry: ShelfItem
  /** What the grower says of it, where it is their own. */
  own: OwnMaterialRecord | null
  units: UnitSystem
}>()
const emit = defineEmits<{ read: []; edit: []; describe: [] }>()
</script>

<template>
  <li class="material">
    <MaterialSwatch :material="material" :size="40" />
    <span class="name"
      ><strong>{{ material.name }}</strong
      ><small
        ><template v-if="own">{{ common.yourOwn(own.retired ? common.offeredNoMore : '') }} </template
        >{{ FAMILY_NAMES[material.family]
        }}<template v-if="namesOf(material.id)[0]">: {{ namesOf(material.id)[0] }}</template></small
      ></span
    >
    <span class="fact"
      ><small>{{ words.airIn(lengthText(20, units)) }}</small
      >{{ percentText(airCapacityAt10Cm(material)) }}</span
    >
    <span class="fact"
      ><small>{{ words.easyWater }}</small>{{ percentText(easilyAvailableWaterAlone(material)) }}</span
    >
    <span class="fact"><small>{{ common.ph }}</small>{{ pHText(material.properties.pH.value) }}</span>
    <span class="fact wide"
      ><small>{{ common.boughtAs }}</small>{{ packText(entry.pack, units)
      }}<template v-if="entry.price !== null">, {{ entry.price.toFixed(2) }}</template></span
    >
    <span class="fact"
      ><small>{{ common.onHand }}</small>{{ entry.stock > 0 ? volumeText(entry.stock, units) : 'none' }}</span
    >
    <span class="actions">
      <Button
        v-if="own"
        :label="common.change"
        text
        size="small"
        :aria-label="common.change2(material.name)"
        @click="emit('describe')"
      />
      <Button
        :label="words.figures"
        text
        size="small"
        :aria-label="words.figuresAndSourcesOf(material.name)"
        @click="emit('read')"
      />
      <Button
        :label="common.pack"
        text
        size="small"
        :aria-label="common.packPriceAndStockOf(material.name)"
        @click="emit('edit')"
      />
    </span>
  </li>
</template>

<style scoped>
.material {
  display: grid;
  grid-template-columns: 40px minmax(180px, 1fr) repeat(3, 84px) 170px 84px auto;
  gap: 12px;
  align-items: center;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
}
.name {
  display: flex;
  flex-direction: column;
  line-height: 1.25;
}
.fact small {
  display: block;
}
.actions {
  white-space: nowrap;
}
@media (max-width: 1000px) {
  .material {
    grid-template-columns: 40px 1fr 1fr 1fr;
  }
  .name,
  .actions {
    grid-column: 2 / -1;
  }
  .fact.wide {
    grid-column: 2 / span 2;
  }
  .fact:nth-child(3) {
    grid-column: 2;
  }
}
</style>
