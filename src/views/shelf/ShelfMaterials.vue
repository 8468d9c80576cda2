<script setup lang="ts">
/** Every material: what it does, where the figures come from, how it is bought. */
import { computed, ref } from 'vue'
import MaterialFigures from '@/components/shelf/MaterialFigures.vue'
import MaterialRow from '@/components/shelf/MaterialRow.vue'
import PackDialog from '@/components/PackDialog.vue'
import { MATERIALS, type Material } from '@/core/data'
import { ownMaterialsOf } from '@/model/garden/garden'
import { ownRowsOf } from '@/model/garden/ownRows'
import type { OwnMaterialRecord } from '@/model/garden/schemas'
import { shelfEntry } from '@/model/garden/shelfEntry'
import { useGarden } from '@/stores/garden'
import { counted } from '@/text/counted'
import { materialFindable } from '@/text/names'
import { search as searchRows } from '@/text/search'
import type { UnitSystem } from '@/text/units'

const { search, units } = defineProps<{ search: string; units: UnitSystem }>()
const emit = defineEmits<{ describe: [own: OwnMaterialRecord] }>()
const garden = useGarden()
const figuresOf = ref<Material | null>(null)
const packOf = ref<Material | null>(null)
const all = computed(() => [...ownRowsOf(garden.records).materials, ...MATERIALS])
const owns = computed(() => new Map(ownMaterialsOf(garden.records).map((m) => [m.id, m])))
const rows = computed(() =>
  searchRows(all.value, search, materialFindable).map((material) => ({
    material,
    entry: shelfEntry(garden.records, material),
    own: owns.value.get(material.id) ?? null,
  })),
)
</script>

<template>
  <p class="soft count" role="status">{{ rows.length }} of {{ counted(all.length, 'material') }}</p>
  <ul class="plain">
    <MaterialRow
      v-for="{ material, entry, own } in rows"
      :key="material.id"
      :material="material"
      :entry="entry"
      :own="own"
      :units="units"
      @read="figuresOf = material"
      @edit="packOf = material"
      @describe="own && emit('describe', own)"
    />
  </ul>
  <p v-if="rows.length === 0" class="soft">Nothing on the shelf answers to “{{ search }}”.</p>
  <MaterialFigures :material="figuresOf" @close="figuresOf = null" />
  <PackDialog
    :material="packOf"
    :item="packOf ? shelfEntry(garden.records, packOf) : null"
    :units="units"
    @save="garden.run({ type: 'shelf/set', item: $event })"
    @close="packOf = null"
  />
</template>

<style scoped>
.count {
  margin: 0 0 6px;
}
</style>
