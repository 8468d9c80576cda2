<script setup lang="ts">
/** Materials on the shelf, one below the other. */
import type { Material } from '@/core/data'
import type { OwnMaterialRecord, ShelfItem } from '@/model/garden/schemas'
import type { UnitSystem } from '@/text/base/units'
import MaterialRow from './MaterialRow.vue'

const { rows, units } = defineProps<{
  rows: readonly { material: Material; entry: ShelfItem; own: OwnMaterialRecord | null }[]
  units: UnitSystem
}>()
const emit = defineEmits<{
  read: [material: Material]
  edit: [material: Material]
  describe: [own: OwnMaterialRecord]
}>()
</script>

<template>
  <ul class="plain">
    <MaterialRow
      v-for="{ material, entry, own } in rows"
      :key="material.id"
      :material="material"
      :entry="entry"
      :own="own"
      :units="units"
      @read="emit('read', material)"
      @edit="emit('edit', material)"
      @describe="own && emit('describe', own)"
    />
  </ul>
</template>
